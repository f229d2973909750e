<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Staff\StaffRole;

/**
 * Somebody asked by mail to help in a class; open until they accept. Asked again, it is renewed.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'class_invitation_once', columns: ['class_id', 'email'])]
class ClassInvitation
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne,
            ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 180)]
        public readonly string $email,
        #[ORM\Column(length: 10)]
        public StaffRole $role,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public Teacher $invitedBy,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public \DateTimeImmutable $until,
    ) {
    }
}
