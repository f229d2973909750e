<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Record\Term\TermLesson;
use FreshHuddle\Core\Record\Term\TermStudent;

/**
 * A class over the term, for the teacher: whoever is on the list now.
 */
final readonly class TermBuilder
{
    public function __construct(private TermReader $reader, private ClassReader $classes)
    {
    }

    public function view(SchoolClass $class): TermView
    {
        $students = array_values(
            array_filter(
                $this->classes->students($class->id),
                static fn (StudentView $one): bool => $one->seatable && !$one->guest,
            ),
        );
        $lessons = $this->reader->lessons($class->id);
        $term = $this->reader->term(
            $class->id,
            array_map(static fn (StudentView $one): string => $one->id, $students),
            $lessons,
        );
        $together = [];
        foreach ($term->together as $one => $others) {
            foreach ($others as $other => $times) {
                $together[] = [$one, $other, $times];
            }
        }

        return new TermView(
            $class->name,
            array_map(
                static fn (TermLesson $one): TermLessonView => new TermLessonView($one->id, $one->title, $one->at),
                $lessons,
            ),
            self::roles($term->students),
            array_map(
                static fn (StudentView $student, TermStudent $one): TermStudentView => new TermStudentView(
                    $student->id,
                    $student->name,
                    $one->there,
                    $one->missing(),
                    $one->called,
                    $one->visitedMs,
                    array_map(
                        static fn (string|int $role, int $times): RoleTimes => new RoleTimes((string) $role, $times),
                        array_keys($one->roles),
                        $one->roles,
                    ),
                ),
                $students,
                $term->students,
            ),
            $together,
        );
    }

    /**
     * @param list<TermStudent> $students
     *
     * @return list<string>
     */
    private static function roles(array $students): array
    {
        $all = [];
        foreach ($students as $student) {
            foreach ($student->roles as $role => $times) {
                $all[$role] = ($all[$role] ?? 0) + $times;
            }
        }
        arsort($all);

        return array_map(strval(...), array_keys($all));
    }
}
