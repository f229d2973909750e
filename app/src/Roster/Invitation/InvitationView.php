<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use FreshHuddle\App\Roster\Staff\StaffRole;

/**
 * What somebody is asked to, for who holds the link.
 */
final readonly class InvitationView
{
    /**
     * @param bool $known there is an account with this address: nothing more is asked
     */
    public function __construct(
        public string $className,
        public string $invitedBy,
        public StaffRole $role,
        public string $email,
        public bool $known,
    ) {
    }
}
