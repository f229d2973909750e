<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Export;

use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\Column\AttributeView;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * A class list for other programs: CSV and JSON.
 */
final readonly class ClassExport
{
    public function __construct(private ClassReader $views, private Words $words)
    {
    }

    public function csv(SchoolClass $class): string
    {
        $view = $this->views->view($class);
        $names = array_map(static fn (AttributeView $attribute): string => $attribute->name, $view->attributes);
        $say = fn (string $column): string => $this->words->say(new Message('roster.export.'.$column));
        $rows = [[$say('name'), $say('id'), $say('email'), $say('table'), ...$names, $say('tags')]];
        foreach ($view->students as $student) {
            $values = self::values($student);
            $rows[] = [
                $student->name,
                $student->schoolId,
                $student->email,
                $student->table,
                ...array_map(static fn (string $name): int|float|string|null => $values[$name] ?? null, $names),
                implode('; ', $student->tags),
            ];
        }

        return SafeCsv::write($rows);
    }

    /**
     * `fresh-huddle/class`, version 1; see docs/formats/class.schema.json. Rules are the teacher's own and not part of
     * it.
     */
    public function json(SchoolClass $class): string
    {
        $view = $this->views->view($class);

        return OpenFormat::write('fresh-huddle/class', [
            'name' => $view->name,
            'students' => array_map(
                static fn (StudentView $student): array => array_filter(
                    [
                        'id' => $student->id,
                        'name' => $student->name,
                        'schoolId' => $student->schoolId,
                        'email' => $student->email,
                        'table' => $student->table,
                        'attributes' => [] === $student->attributes ? null : self::values($student),
                        'tags' => [] === $student->tags ? null : $student->tags,
                    ],
                    static fn (mixed $value): bool => null !== $value,
                ),
                $view->students,
            ),
        ]);
    }

    /**
     * @return array<string, int|float|string>
     */
    private static function values(StudentView $student): array
    {
        $values = [];
        foreach ($student->attributes as $attribute) {
            $values[$attribute->name] = $attribute->typed();
        }

        return $values;
    }
}
