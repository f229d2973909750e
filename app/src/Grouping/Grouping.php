<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * A named set of groups of one class. Its floor is kept by FloorStore.
 */
#[ORM\Entity]
#[ORM\Index(name: 'grouping_series', columns: ['series'])]
class Grouping
{
    /** Groupings that follow each other, made together: of a rotation, a jigsaw. Null: it stands for itself. */
    #[ORM\Column(type: 'guid', nullable: true)]
    public ?string $series = null;

    /** Its place among them, from 1. */
    #[ORM\Column(nullable: true)]
    public ?int $seriesNumber = null;

    /** Which of the kept floors is the present one. */
    #[ORM\Column(options: ['default' => 0])]
    public int $step = 0;

    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    /** @var array<string, mixed> how the desk is set (Desk\DeskSettings); written by Desk\DeskNotes */
    #[ORM\Column(type: 'json', options: ['jsonb' => true, 'default' => '{}'])]
    public array $settings = [];

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false)]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 80)]
        public string $name,
    ) {
    }
}
