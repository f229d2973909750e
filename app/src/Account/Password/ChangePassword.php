<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Password;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a new password, and the old one as proof.
 */
final readonly class ChangePassword
{
    public function __construct(
        #[Assert\NotBlank(message: 'account.your_password_as_it_now'),
            Assert\Length(max: 500, maxMessage: 'account.no_password_that_long'),
            \SensitiveParameter,]
        public string $now,
        #[Assert\Length(
            min: Passwords::SHORTEST,
            max: 500,
            minMessage: 'account.password_at_least_10_characters',
            maxMessage: 'account.at_most_500_characters',
        ),
            \SensitiveParameter,]
        public string $next,
    ) {
    }
}
