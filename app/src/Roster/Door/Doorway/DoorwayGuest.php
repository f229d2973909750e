<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door\Doorway;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * Somebody in the doorway: a device that has typed a name the list does not know, or one that another device has.
 */
#[ORM\Entity]
#[ORM\Index(name: 'doorway_guest_class', columns: ['class_id'])]
class DoorwayGuest
{
    #[ORM\Column(options: ['default' => false])]
    public bool $refused = false;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne,
            ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 120)]
        public readonly string $typed,
        /** SHA-256 of the cookie's value, in hexadecimal. */
        #[ORM\Column(length: 64, unique: true, options: ['fixed' => true])]
        public readonly string $tokenHash,
        /** The id of who that would be on the list, where it is clear: another device has that name. */
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $meant,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public readonly \DateTimeImmutable $cameAt,
        /** Tells the networks people wait from apart, and says nothing of them. */
        #[ORM\Column(length: 16, options: ['fixed' => true])]
        public readonly string $network,
    ) {
    }
}
