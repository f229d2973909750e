<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

/**
 * Rules that cannot hold together.
 */
final readonly class ConflictView
{
    /**
     * @param list<string> $rules   ids of the class's rules among them, that can be lifted
     * @param string       $message what a teacher can act on
     */
    public function __construct(public array $rules, public string $message)
    {
    }
}
