<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\SignIn;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: an email address and its password.
 */
final readonly class SignIn
{
    public function __construct(
        #[Assert\NotBlank(message: 'account.your_address'),
            Assert\Length(max: 180, maxMessage: 'account.no_address_that_long'),]
        public string $email,
        #[Assert\NotBlank(message: 'account.your_password'),
            Assert\Length(max: 500, maxMessage: 'account.no_password_that_long'),]
        #[\SensitiveParameter]
        public string $password,
    ) {
    }
}
