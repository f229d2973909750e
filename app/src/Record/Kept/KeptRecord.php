<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Kept;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;

/**
 * What happened in a lesson before its class came here. Written by KeptRecords.
 */
#[ORM\Entity]
class KeptRecord
{
    /**
     * @param array<string, mixed> $file as docs/formats/record.md says, without figures
     */
    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $file,
    ) {
    }
}
