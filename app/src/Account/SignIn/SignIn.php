<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\SignIn;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class SignIn
{
    public function __construct(
        #[Assert\NotBlank(message: 'Your address, please.'), Assert\Length(max: 180, maxMessage: 'No address is that long.')]
        public string $email,
        #[Assert\NotBlank(message: 'Your password, please.'), Assert\Length(max: 500, maxMessage: 'No password is that long.')]
        #[\SensitiveParameter]
        public string $password,
    ) {
    }
}
