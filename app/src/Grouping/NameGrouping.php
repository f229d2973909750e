<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class NameGrouping
{
    public function __construct(
        #[Assert\NotBlank(message: 'A grouping needs a name.', normalizer: 'trim'), Assert\Length(max: 80, maxMessage: 'A grouping has a name of at most 80 signs.')]
        public string $name,
    ) {
    }
}
