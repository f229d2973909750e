<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Live\EventStore;

/**
 * A command that has been carried out, so that one sent twice counts once. Written by EventStore.
 */
#[ORM\Entity]
class CommandKey
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $id,
        /** Of the command: the same key with another one is a mistake. */
        #[ORM\Column(length: 32)]
        public readonly string $digest,
    ) {
    }
}
