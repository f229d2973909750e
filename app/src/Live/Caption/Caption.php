<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Caption;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;

/**
 * A line of what is said in a room, typed by somebody of the staff for those who read rather than hear. It is there as
 * long as the lesson is. Written by Captions.
 */
#[ORM\Entity, ORM\Index(columns: ['lesson_id', 'place', 'id'])]
class Caption
{
    #[ORM\Id, ORM\GeneratedValue(strategy: 'IDENTITY'), ORM\Column(type: 'bigint')]
    public int $id;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,

        /** `main`, or the id of a group or a side room. */
        #[ORM\Column(length: 36)]
        public readonly string $place,
        #[ORM\Column(length: SayCaption::MOST)]
        public readonly string $text,

        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
    ) {
    }
}
