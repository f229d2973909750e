<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

use FreshHuddle\App\Http\Body\Id;

/**
 * The body of a request: on to the next group.
 */
final readonly class BeginTurn
{
    /**
     * @param string|null $now  the turn the page knows to be on: a second press does nothing; null: none is
     * @param string|null $turn the one to begin; null: the next, and after the last one the share-out is done
     */
    public function __construct(#[Id] public ?string $now, #[Id] public ?string $turn = null)
    {
    }
}
