<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Calendar;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;

/**
 * How often a teacher's calendar has had another address. Written by CalendarFeeds.
 */
#[ORM\Entity]
class CalendarAddress
{
    #[ORM\Column(options: ['default' => 0])]
    public int $number = 0;

    public function __construct(
        #[ORM\Id,
            ORM\OneToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Teacher $teacher,
    ) {
    }
}
