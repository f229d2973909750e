<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use FreshHuddle\App\Roster\Staff\StaffRole;

/**
 * Somebody who helps in a class, or has been asked to.
 */
final readonly class StaffView
{
    /**
     * @param string|null $teacher the teacher's id; null while they have only been asked
     * @param string      $name    the address, while they have only been asked
     */
    public function __construct(public ?string $teacher, public string $name, public StaffRole $role)
    {
    }
}
