<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

/**
 * The body of a request: the step it was made from, so that nobody's later change is lost.
 */
final readonly class BasedOn
{
    public function __construct(public int $basedOn)
    {
    }
}
