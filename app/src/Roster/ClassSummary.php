<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Live\LessonSummary;

final readonly class ClassSummary
{
    /**
     * @param list<LessonSummary> $lessons newest first
     */
    public function __construct(public string $id, public string $name, public string $code, public int $students, public bool $archived, public array $lessons)
    {
    }
}
