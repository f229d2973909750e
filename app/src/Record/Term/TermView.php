<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

/**
 * A class over the term.
 */
final readonly class TermView
{
    /**
     * @param list<TermLessonView>  $lessons  in the order of time
     * @param list<string>          $roles    those that were given, the most frequent first
     * @param list<TermStudentView> $students
     * @param list<list<int>>       $together two students by their places in the list, and how often they were in one
     *                                        group; pairs who never were are not in it
     */
    public function __construct(
        public string $className,
        public array $lessons,
        public array $roles,
        public array $students,
        public array $together,
    ) {
    }

    /**
     * @return array<int, array<int, int>> how often two were in one group, by their places, either way round
     */
    public function times(): array
    {
        $times = [];
        foreach ($this->together as [$one, $other, $much]) {
            $times[$one][$other] = $times[$other][$one] = $much;
        }

        return $times;
    }
}
