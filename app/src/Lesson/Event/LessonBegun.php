<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Event;

/**
 * A lesson was begun from another one, inside the transaction that makes it.
 */
final readonly class LessonBegun
{
    /**
     * @param array<string, string> $rounds a round's id in the lesson before => its id in this one
     */
    public function __construct(public string $fromId, public string $lessonId, public array $rounds)
    {
    }
}
