<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class WhyRequest
{
    public function __construct(
        #[Assert\Uuid]
        public string $student,
        #[Assert\Valid]
        public DeskSettings $settings,
    ) {
    }
}
