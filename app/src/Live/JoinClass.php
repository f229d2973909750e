<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class JoinClass
{
    public function __construct(
        #[Assert\Length(max: 40)]
        public string $code,
        #[Assert\Uuid(message: 'Choose a name from the list.')]
        public string $student,
    ) {
    }
}
