<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\Core\Debrief\ShareOut\ReportOrder;

/**
 * Talking about the work of a lesson: what the class sees of it is numbered, so that a page knows what is newer.
 * Written by DebriefChanger.
 */
#[ORM\Entity]
class Debrief
{
    /** How often what the class sees has changed. */
    #[ORM\Column(options: ['default' => 0])]
    public int $revision = 0;

    /** The order in which groups report. */
    #[ORM\Column(length: 12, enumType: ReportOrder::class, options: ['default' => 'drawn'])]
    public ReportOrder $reportOrder = ReportOrder::Drawn;

    /** Who is called on is shown to everybody, too. */
    #[ORM\Column(options: ['default' => true])]
    public bool $showsCalled = true;

    /** Work that is shown carries the names of its group and its writers. */
    #[ORM\Column(options: ['default' => false])]
    public bool $showsNames = false;

    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(name: 'lesson_id', nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
    ) {
    }

    /**
     * How a class is used to it.
     *
     * @param self|null $last of its lesson before
     */
    public static function after(Lesson $lesson, ?self $last): self
    {
        $debrief = new self($lesson);
        $debrief->reportOrder = $last->reportOrder ?? $debrief->reportOrder;
        $debrief->showsCalled = $last->showsCalled ?? $debrief->showsCalled;
        $debrief->showsNames = $last->showsNames ?? $debrief->showsNames;

        return $debrief;
    }
}
