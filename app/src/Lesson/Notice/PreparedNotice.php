<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Notice;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\Core\Lesson\NoticeTime;

/**
 * What is to be said to everybody at a set moment of a round.
 */
#[ORM\Entity]
class PreparedNotice
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne(inversedBy: 'notices'),
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Round $round,
        #[ORM\Column]
        public bool $beforeEnd,
        #[ORM\Column]
        public int $seconds,
        #[ORM\Column(length: 280)]
        public string $text,
    ) {
    }

    public function time(): NoticeTime
    {
        return new NoticeTime($this->beforeEnd, $this->seconds);
    }
}
