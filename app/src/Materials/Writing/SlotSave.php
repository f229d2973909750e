<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use Doctrine\ORM\Mapping as ORM;

/**
 * A save that has been done, so that one sent twice counts once. Written by CopyWriter.
 */
#[ORM\Entity]
#[ORM\Index(name: 'slot_save_at', columns: ['at'])]
class SlotSave
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
        /** Of what was saved: the same id with something else is a mistake. */
        #[ORM\Column(length: 16)]
        public readonly string $digest,
    ) {
    }
}
