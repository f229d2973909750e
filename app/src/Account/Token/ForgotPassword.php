<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class ForgotPassword
{
    public function __construct(
        #[Assert\NotBlank(message: 'Your address, please.', normalizer: 'trim'), Assert\Length(max: 180, maxMessage: 'No address is that long.')]
        public string $email,
    ) {
    }
}
