<?php

declare(strict_types=1);

namespace FreshHuddle\App\Demo;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Import\ClassImport;
use FreshHuddle\App\Roster\Import\ImportRequest;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\App\Roster\Rule\MakeRule;
use FreshHuddle\App\Roster\Rule\RuleKind;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * Makes the demo classes, with what their lists say of each student.
 */
final readonly class DemoClasses
{
    public function __construct(
        private EntityManagerInterface $em,
        private Roster $roster,
        private ClassImport $import,
        private ClassRules $rules,
    ) {
    }

    /**
     * @param list<string> $names
     */
    public function create(Teacher $teacher, string $name, string $doorWord, array $names): SchoolClass
    {
        $class = $this->roster->create($teacher, $name, implode("\n", $names));
        $class->doorWord = $doorWord;
        $this->em->flush();

        return $class;
    }

    /**
     * What the list says of each student, brought in as a teacher would: name, table, level, home language, tags.
     *
     * @param list<array{string, string, int, string, string}>  $rows
     * @param list<array{kind: string, students: list<string>}> $rules
     */
    public function describe(SchoolClass $class, array $rows, array $rules): void
    {
        if ([] === $rows) {
            return;
        }
        $this->import->carryOut(
            $class,
            new ImportRequest(SafeCsv::write([['Name', 'Table', 'Level', 'Home language', 'Tags'], ...$rows])),
        );
        $ids = [];
        foreach ($this->roster->students($class) as $student) {
            $ids[$student->name] = $student->id;
        }
        foreach ($rules as $rule) {
            $this->rules->add(
                $class,
                new MakeRule(
                    RuleKind::from($rule['kind']),
                    array_map(static fn (string $name): string => $ids[$name], $rule['students']),
                ),
            );
        }
    }
}
