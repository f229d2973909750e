<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use FreshHuddle\App\Roster\StaffRole;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class Invite
{
    public function __construct(
        #[Assert\NotBlank(message: 'Whom?', normalizer: 'trim'), Assert\Email(message: 'This is no address.', normalizer: 'trim'), Assert\Length(max: 180, maxMessage: 'No address is that long.')]
        public string $email,
        public StaffRole $role = StaffRole::Assistant,
    ) {
    }
}
