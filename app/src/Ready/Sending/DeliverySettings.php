<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Round\Round;

/**
 * What of a round is to be sent: a post to each group in the course portal, a letter to each student. Written by
 * Sendings.
 */
#[ORM\Entity]
#[ORM\Table(name: 'sending')]
class DeliverySettings
{
    #[ORM\Column(options: ['default' => false])]
    public bool $posts = false;

    #[ORM\Column(options: ['default' => false])]
    public bool $letters = false;

    /** Under which unit of the course posts stand; '' for none. */
    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $unit = '';

    /** When the work is due. Milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $dueAt = null;

    /** Whether it counts for marks. */
    #[ORM\Column(options: ['default' => false])]
    public bool $counted = false;

    /** Whose clock times are told by, as “Europe/Berlin”. */
    #[ORM\Column(length: 60, options: ['default' => 'UTC'])]
    public string $zone = 'UTC';

    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
    ) {
    }
}
