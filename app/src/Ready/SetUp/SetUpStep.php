<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\Core\Ready\SetUp\StepKind;

/**
 * One step of a set-up list that is or was carried out. Written by SetUpStore.
 */
#[ORM\Entity]
#[ORM\Table(name: 'set_up_step')]
class SetUpStep
{
    #[ORM\Column(length: 10)]
    public StepState $state = StepState::Waiting;

    #[ORM\Column(options: ['default' => 0])]
    public int $tries = 0;

    /** Not before then. Milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', options: ['default' => 0])]
    public int $dueAt = 0;

    #[ORM\Column(length: 200, nullable: true)]
    public ?string $failure = null;

    /**
     * @param list<string> $ids
     */
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly SetUp $setUp,
        #[ORM\Id, ORM\Column]
        public readonly int $position,
        #[ORM\Column(length: 20)]
        public readonly StepKind $kind,
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $groupId,
        #[ORM\Column(length: 80)]
        public readonly string $subject,
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $ids,
        #[ORM\Column]
        public readonly int $count,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        /** As it was shown. */
        #[ORM\Column(length: 500)]
        public readonly string $says,
    ) {
    }
}
