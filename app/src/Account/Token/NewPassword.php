<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use FreshHuddle\App\Account\Password\Passwords;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: the new password of whoever has the link.
 */
final readonly class NewPassword
{
    /**
     * @param string $token as it stands in the link
     */
    public function __construct(
        #[Assert\Length(max: 200)]
        public string $token,
        #[\SensitiveParameter]
        #[Assert\Length(
            min: Passwords::SHORTEST,
            max: 200,
            minMessage: 'account.at_least_10_characters',
            maxMessage: 'account.at_most_200_characters',
        ),]
        public string $password,
    ) {
    }
}
