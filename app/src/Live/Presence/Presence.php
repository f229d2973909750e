<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;

/**
 * The latest signs of a student. Written by PresenceStore, many times a minute; moments in milliseconds since 1970.
 */
#[ORM\Entity]
#[ORM\Table(name: 'presence')]
class Presence
{
    public function __construct(
        #[ORM\Id,
            ORM\OneToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $pageAt,
        /** `main` or a group’s id. */
        #[ORM\Column(length: 40, nullable: true)]
        public readonly ?string $linkPlace,
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $linkAt,
        #[ORM\Column(length: 40, nullable: true)]
        public readonly ?string $servicePlace,
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $serviceAt,
    ) {
    }
}
