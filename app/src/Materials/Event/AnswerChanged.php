<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Event;

/**
 * Something else stands in a place of a copy now.
 */
final readonly class AnswerChanged
{
    /**
     * @param string $owner the student whose answer it is; the copy's id for an answer together
     */
    public function __construct(public string $copy, public string $slot, public string $owner)
    {
    }
}
