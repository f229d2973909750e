<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;

/**
 * A remark of the teacher beside a place in a copy, with the group's answer to it. Moments are milliseconds since 1970.
 */
#[ORM\Entity]
class MarginNote
{
    public const LONGEST = 600;

    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $seenAt = null;

    #[ORM\Column(length: self::LONGEST)]
    public string $answer = '';

    /** The student who answered last. */
    #[ORM\Column(type: 'guid', nullable: true)]
    public ?string $answeredBy = null;

    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $answeredAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly WorkCopy $copy,
        /** The place it stands beside. */
        #[ORM\Column(length: 40)]
        public readonly string $slot,
        /** Whose answer it is about, where everybody has their own. */
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $owner,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $author,
        #[ORM\Column(length: self::LONGEST)]
        public readonly string $text,
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
    ) {
    }
}
