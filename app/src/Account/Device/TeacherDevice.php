<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Device;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;

/**
 * A device a teacher is signed in on: a cookie with a random value, of which only a digest is kept here.
 */
#[ORM\Entity]
#[ORM\Index(name: 'teacher_device_teacher', columns: ['teacher_id'])]
class TeacherDevice
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $teacher,
        /** SHA-256 of the cookie's value, in hexadecimal. */
        #[ORM\Column(length: 64, unique: true, options: ['fixed' => true])]
        public readonly string $tokenHash,
        /** What this device hears; nobody can guess it, and nothing is said on it once the device is gone. */
        #[ORM\Column(length: 32, unique: true)]
        public readonly string $channel,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public readonly \DateTimeImmutable $signedInAt,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public readonly \DateTimeImmutable $until,
    ) {
    }
}
