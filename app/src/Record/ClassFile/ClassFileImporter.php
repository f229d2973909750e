<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Lesson\History\EarlierHistory;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\App\Roster\Rule\MakeRule;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;

/**
 * A class moves in from a file: all of it or nothing.
 */
final readonly class ClassFileImporter
{
    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private ClassFileReader $reader,
        private Roster $roster,
        private ClassRules $rules,
        private EarlierHistory $history,
        private MovedLessonKeeper $lessons,
    ) {
    }

    /**
     * @param string $bytes of the archive
     *
     * @throws RecordRefused if it cannot be read
     */
    public function import(Teacher $teacher, string $bytes): SchoolClass
    {
        $zip = ClassFileReader::open($bytes);
        $moved = $this->reader->read($zip);

        return $this->transaction->run(function () use ($teacher, $zip, $moved): SchoolClass {
            [$class, $students] = $this->roster->moveIn($teacher, $moved->name, $moved->students);
            $this->em->flush();
            $ids = array_map(static fn (Student $one): string => $one->id, $students);
            foreach ($moved->rules as $rule) {
                $here = array_values(
                    array_map(
                        static fn (string $id): string => $ids[$id],
                        array_filter(
                            $rule->students,
                            static fn (string $id): bool => null === $students[$id]->removedAt,
                        ),
                    ),
                );
                if (\count($here) > 1) {
                    $this->rules->add($class, new MakeRule($rule->kind, $here));
                }
            }
            $this->history->keep($class, array_map(
                static fn (MovedGroups $use): GroupingUse => self::used($use, $ids),
                $moved->history,
            ));
            if ([] !== $moved->lessons) {
                $this->lessons->keep($teacher, $class, $moved->lessons, $zip, $students);
            }

            return $class;
        });
    }

    /**
     * @param array<string, string> $ids
     */
    private static function used(MovedGroups $use, array $ids): GroupingUse
    {
        $roles = [];
        foreach ($use->roles as $role) {
            if (isset($ids[$role->student])) {
                $roles[] = [$ids[$role->student], $role->role];
            }
        }

        return new GroupingUse(
            $use->name,
            $use->lesson,
            $use->at,
            array_map(
                static fn (array $group): array => array_values(
                    array_map(
                        static fn (string $id): string => $ids[$id],
                        array_filter($group, static fn (string $id): bool => isset($ids[$id])),
                    ),
                ),
                $use->groups,
            ),
            $roles,
        );
    }
}
