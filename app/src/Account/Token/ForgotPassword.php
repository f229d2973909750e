<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: who has forgotten their password.
 */
final readonly class ForgotPassword
{
    public function __construct(
        #[Assert\NotBlank(message: 'account.your_address', normalizer: 'trim'),
            Assert\Length(max: 180, maxMessage: 'account.no_address_that_long'),]
        public string $email,
    ) {
    }
}
