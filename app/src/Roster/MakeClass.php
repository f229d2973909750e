<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class MakeClass
{
    public function __construct(
        #[Assert\NotBlank(message: 'A class needs a name.', normalizer: 'trim'), Assert\Length(max: 80, maxMessage: 'A class name has at most 80 signs.')]
        public string $name,
        #[Assert\Length(max: 100_000, maxMessage: 'That is too much text for a class list.')]
        public string $names = '',
    ) {
    }
}
