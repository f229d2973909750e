<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

/**
 * Somebody in the same group, as a student sees them.
 */
final readonly class Mate
{
    /**
     * @param int      $seat    from 1
     * @param int|null $picture the picture they know themselves by, from 0; null: they read
     * @param string   $role    '' for none
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $seat,
        public string $role,
        public ?int $picture = null,
    ) {
    }
}
