<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: shows a sum over all groups to everybody.
 */
final readonly class ShowSum
{
    /**
     * @param bool $beside beside what is shown already, to compare; else instead of it
     */
    public function __construct(
        #[Id]
        public string $round,
        #[Id]
        public string $original,
        #[Assert\Length(max: 40)]
        public string $slot,
        public bool $beside = false,
    ) {
    }
}
