<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

/**
 * A lesson of a term.
 */
final readonly class TermLessonView
{
    /**
     * @param int $at milliseconds since 1970
     */
    public function __construct(public string $id, public string $title, public int $at)
    {
    }
}
