<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use FreshHuddle\App\Account\Password\Passwords;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class AcceptInvitation
{
    /**
     * @param string|null $name     for a new account
     * @param string|null $password for a new account
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Your name, please.', allowNull: true, normalizer: 'trim'), Assert\Length(max: 120, maxMessage: 'A name has at most 120 signs.')]
        public ?string $name = null,
        #[\SensitiveParameter]
        #[Assert\Length(min: Passwords::SHORTEST, max: 200, minMessage: 'At least 10 signs, please.', maxMessage: 'At most 200 signs, please.')]
        public ?string $password = null,
    ) {
    }
}
