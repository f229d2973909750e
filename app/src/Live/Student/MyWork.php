<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

/**
 * A worksheet a student works on alone.
 */
final readonly class MyWork
{
    /**
     * @param bool $now it is what the lesson is at
     */
    public function __construct(public string $id, public string $title, public bool $now)
    {
    }
}
