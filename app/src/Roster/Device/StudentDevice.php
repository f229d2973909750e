<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;

/**
 * A device that speaks for a student until the day is over, the only one or, where the class allows it, one of two: a
 * cookie with a random value, of which only a digest is kept here. Written by StudentDeviceStore.
 */
#[ORM\Entity]
#[ORM\Index(name: 'student_device_class', columns: ['class_id'])]
#[ORM\UniqueConstraint(name: 'student_device_slot', columns: ['student_id', 'slot'])]
class StudentDevice
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne,
            ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly SchoolClass $class,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public Student $student,
        /** SHA-256 of the cookie's value, in hexadecimal. */
        #[ORM\Column(length: 64, unique: true, options: ['fixed' => true])]
        public string $tokenHash,
        /**
         * What this device hears; nobody can guess it, and nothing is said on it once the device speaks for nobody or
         * for somebody else.
         */
        #[ORM\Column(length: 32, unique: true)]
        public string $channel,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public \DateTimeImmutable $claimedAt,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public \DateTimeImmutable $until,
        /** 1; 2 for the second device of a student. */
        #[ORM\Column(type: 'smallint', options: ['default' => 1])]
        public int $slot,
    ) {
    }
}
