<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Round;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Notice\PreparedNotice;
use FreshHuddle\App\Lesson\Notice\PrepareNotice;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\Core\SingleLine;
use Symfony\Component\Uid\Uuid;

/**
 * A segment in groups, with the moments that have been agreed for it.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'round_number', columns: ['lesson_id', 'number'])]
class Round
{
    /** From 1; null while its segment is not in the running order. */
    #[ORM\Column(nullable: true)]
    public ?int $number = null;

    /** How long students see who is with whom before they are sent. */
    #[ORM\Column]
    public int $lookSeconds = 20;

    #[ORM\Column]
    public int $callBackSeconds = 30;

    /** Whether the call back begins by itself at the end. */
    #[ORM\Column]
    public bool $autoCallBack = true;

    // Its moments, as Moments has them. Milliseconds since 1970, but for `autoSeconds`.

    #[ORM\Column(type: 'bigint', nullable: true)]
    private ?int $lookFrom = null;

    #[ORM\Column(type: 'bigint', nullable: true)]
    private ?int $outAt = null;

    #[ORM\Column(type: 'bigint', nullable: true)]
    private ?int $endsAt = null;

    #[ORM\Column(nullable: true)]
    private ?int $autoSeconds = null;

    #[ORM\Column(type: 'bigint', nullable: true)]
    private ?int $calledAt = null;

    #[ORM\Column(type: 'bigint', nullable: true)]
    private ?int $backAt = null;

    #[ORM\Column(type: 'bigint', nullable: true)]
    private ?int $pausedAt = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
    public Lesson $lesson;

    /** @var Collection<int, PreparedNotice> */
    #[ORM\OneToMany(
        mappedBy: 'round',
        targetEntity: PreparedNotice::class,
        cascade: ['persist'],
        orphanRemoval: true,
    ),
        ORM\OrderBy(['beforeEnd' => 'ASC', 'seconds' => 'ASC', 'id' => 'ASC']),]
    public Collection $notices;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\OneToOne(inversedBy: 'round'),
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public Segment $segment,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public Grouping $grouping,
    ) {
        $this->lesson = $segment->lesson;
        $this->notices = new ArrayCollection();
        $segment->round = $this;
    }

    /**
     * All of them instead of those there are.
     *
     * @param list<PrepareNotice> $notices
     */
    public function prepare(array $notices): void
    {
        $this->notices->clear();
        foreach ($notices as $notice) {
            $this->notices->add(
                new PreparedNotice(
                    Uuid::v7()->toRfc4122(),
                    $this,
                    $notice->beforeEnd,
                    $notice->seconds,
                    SingleLine::fromText($notice->text),
                ),
            );
        }
    }

    public function state(): Moments
    {
        return new Moments(
            $this->lookFrom,
            $this->outAt,
            $this->endsAt,
            $this->autoSeconds,
            $this->calledAt,
            $this->backAt,
            $this->pausedAt,
        );
    }

    public function agree(Moments $moments): void
    {
        $this->lookFrom = $moments->lookFrom;
        $this->outAt = $moments->outAt;
        $this->endsAt = $moments->endsAt;
        $this->autoSeconds = $moments->autoSeconds;
        $this->calledAt = $moments->calledAt;
        $this->backAt = $moments->backAt;
        $this->pausedAt = $moments->pausedAt;
    }
}
