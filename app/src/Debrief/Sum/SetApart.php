<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: takes an answer out of like ones, or puts it back among them.
 */
final readonly class SetApart
{
    public function __construct(
        #[Id]
        public string $original,
        #[Assert\Length(max: 40)]
        public string $slot,
        #[Assert\Length(min: 1, max: 20_000)]
        public string $text,
        public bool $apart,
    ) {
    }
}
