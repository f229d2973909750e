<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;

/**
 * A piece of work that is on every screen of a lesson now; its row goes when it is put down. Written by HoldUps.
 */
#[ORM\Entity]
class HoldUp
{
    /**
     * What stood there when it was frozen; null: what stands there now is shown.
     *
     * @var array<array-key, mixed>|null
     */
    #[ORM\Column(type: 'json', nullable: true, options: ['jsonb' => true])]
    public ?array $frozen = null;

    /** With what is right, of a sum. */
    #[ORM\Column(options: ['default' => false])]
    public bool $showsRight = false;

    /** What of it the teacher points at: a place in the work, as the page names it; '' for nothing. */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $pointer = '';

    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        /** 0, or 1 for what is held beside it. */
        #[ORM\Id, ORM\Column]
        public readonly int $position,
        /** Null where it is a sum over all groups. */
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'copy_id', nullable: true, onDelete: 'CASCADE')]
        public readonly ?WorkCopy $copy,
        /** The page; null: all of them. */
        #[ORM\Column(length: 40, nullable: true)]
        public readonly ?string $page,
        /** The one place of it that is shown; null: the whole page. */
        #[ORM\Column(length: 40, nullable: true)]
        public readonly ?string $slot,
        /** Whose answer of those in that place; null: all of them. */
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $owner,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $teacher,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
        /** Of a sum over all groups: the round, and beside it the worksheet. */
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'round_id', nullable: true, onDelete: 'CASCADE')]
        public readonly ?Round $round = null,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'original_id', nullable: true, onDelete: 'CASCADE')]
        public readonly ?StoredOriginal $original = null,
    ) {
    }

    /**
     * Whether it is the same place of the same work.
     */
    public function isLike(self $other): bool
    {
        return [$this->copy, $this->page, $this->slot, $this->owner, $this->round, $this->original]
            === [$other->copy, $other->page, $other->slot, $other->owner, $other->round, $other->original];
    }
}
