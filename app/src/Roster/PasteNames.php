<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class PasteNames
{
    public function __construct(
        #[Assert\Length(max: 100_000, maxMessage: 'That is too much text for a class list.')]
        public string $names,
    ) {
    }
}
