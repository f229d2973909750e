<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

use Doctrine\ORM\Mapping as ORM;

/**
 * A device that spoke for a student and does not any more, and why: its page says so. Written by StudentDeviceStore.
 */
#[ORM\Entity]
class EndedDevice
{
    public function __construct(
        /** SHA-256 of the cookie's value, in hexadecimal. */
        #[ORM\Id, ORM\Column(length: 64, options: ['fixed' => true])]
        public readonly string $tokenHash,
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\Column(length: 20)]
        public readonly DeviceEnd $why,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public readonly \DateTimeImmutable $at,
    ) {
    }
}
