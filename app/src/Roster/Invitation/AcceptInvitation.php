<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use FreshHuddle\App\Account\Password\Passwords;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a name and a password for whoever was invited.
 */
final readonly class AcceptInvitation
{
    /**
     * @param string|null $name     for a new account
     * @param string|null $password for a new account
     */
    public function __construct(
        #[Assert\NotBlank(message: 'roster.your_name', allowNull: true, normalizer: 'trim'),
            Assert\Length(max: 120, maxMessage: 'roster.name_at_most_120_characters'),]
        public ?string $name = null,
        #[\SensitiveParameter]
        #[Assert\Length(
            min: Passwords::SHORTEST,
            max: 200,
            minMessage: 'account.at_least_10_characters',
            maxMessage: 'account.at_most_200_characters',
        ),]
        public ?string $password = null,
    ) {
    }
}
