<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use FreshHuddle\App\Debrief\Calling\StudentCallView;
use FreshHuddle\App\Debrief\Gallery\GalleryStaffView;
use FreshHuddle\App\Debrief\HoldUp\HoldUpView;
use FreshHuddle\App\Debrief\HoldUp\ShownView;
use FreshHuddle\App\Debrief\Question\AskedView;
use FreshHuddle\App\Debrief\ShareOut\TurnView;
use FreshHuddle\Core\Debrief\ShareOut\ReportOrder;

/**
 * Talking about the work of a lesson, for the teacher.
 */
final readonly class DebriefView
{
    /**
     * @param int              $revision    how often what the class sees has changed
     * @param list<TurnView>   $turns       of the share-out the lesson is in, in order
     * @param list<StudentCallView>   $calls       who was called on, in order
     * @param bool             $showsCalled who is called on is on everybody's screen, too
     * @param bool             $showsNames  work that is shown carries names
     * @param ShownView|null   $shown       what everybody sees
     * @param list<HoldUpView> $heldUp      where that stands in the work
     * @param AskedView|null   $asked       the last quick question
     * @param GalleryStaffView|null $gallery  the one that is open
     * @param list<string>     $roles       that seats of the last round have
     */
    public function __construct(
        public int $revision,
        public ReportOrder $reportOrder,
        public array $turns,
        public array $calls,
        public bool $showsCalled,
        public bool $showsNames,
        public ?ShownView $shown,
        public array $heldUp,
        public array $roles,
        public ?AskedView $asked,
        public ?GalleryStaffView $gallery,
        public int $serverNow,
    ) {
    }
}
