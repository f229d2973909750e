<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Event;

/**
 * What a round is planned to do was changed.
 */
final readonly class RoundPlanned
{
    public function __construct(public string $roundId)
    {
    }
}
