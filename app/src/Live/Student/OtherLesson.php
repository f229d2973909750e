<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

/**
 * Another lesson that the class is in just now, and what taking the class out of it would mean.
 */
final readonly class OtherLesson
{
    /**
     * @param int|null $startsAt milliseconds since 1970
     * @param int      $students how many are at work in groups there; 0: nobody is out
     * @param int      $groups   in how many groups
     */
    public function __construct(
        public string $id,
        public string $title,
        public ?int $startsAt,
        public int $students,
        public int $groups,
    ) {
    }
}
