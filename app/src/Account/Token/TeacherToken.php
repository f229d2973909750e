<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;

/**
 * A forgotten password: for an hour, once, a link sent by mail sets a new one.
 */
#[ORM\Entity]
class TeacherToken
{
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $usedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $teacher,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public readonly \DateTimeImmutable $until,
    ) {
    }
}
