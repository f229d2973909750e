<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

/**
 * A sentence about a lesson, and where in its record the rest stands.
 */
final readonly class SentenceView
{
    /**
     * @param string $leadsTo `strips` or `groups`
     */
    public function __construct(public string $text, public string $leadsTo)
    {
    }
}
