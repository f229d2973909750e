<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * How sound stands in rooms of our own, before a lesson.
 */
final readonly class PlannedSound
{
    /**
     * @param bool              $away        the media server does not answer
     * @param list<string>|null $untried     ids of students who have joined and have never tried a microphone; null
     *     where nobody has tried one
     * @param list<string>      $unreachable ids of students whose network let no sound through the last time
     */
    public function __construct(
        public bool $away = false,
        public ?array $untried = null,
        public array $unreachable = [],
    ) {
    }
}
