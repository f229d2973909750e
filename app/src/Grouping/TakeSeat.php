<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class TakeSeat
{
    public function __construct(
        #[Assert\Uuid]
        public string $table,
    ) {
    }
}
