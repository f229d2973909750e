<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use FreshHuddle\App\Roster\Staff\StaffRole;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: whom to invite, and as what.
 */
final readonly class Invite
{
    public function __construct(
        #[Assert\NotBlank(message: 'roster.whom', normalizer: 'trim'),
            Assert\Email(message: 'roster.this_no_address', normalizer: 'trim'),
            Assert\Length(max: 180, maxMessage: 'account.no_address_that_long'),]
        public string $email,
        public StaffRole $role = StaffRole::Assistant,
    ) {
    }
}
