<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Debrief\Calling\Calls;
use FreshHuddle\App\Debrief\Calling\CandidateReader;
use FreshHuddle\App\Debrief\Calling\StudentCallView;
use FreshHuddle\App\Debrief\Gallery\GalleryReader;
use FreshHuddle\App\Debrief\Gallery\GalleryStaffView;
use FreshHuddle\App\Debrief\Gallery\RemarkView;
use FreshHuddle\App\Debrief\HoldUp\HoldUpView;
use FreshHuddle\App\Debrief\HoldUp\ShownReader;
use FreshHuddle\App\Debrief\Question\QuestionReader;
use FreshHuddle\App\Debrief\ShareOut\ReportReader;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;

/**
 * Talking about the work of a lesson, as the teacher's screen needs it.
 */
final readonly class DebriefViewBuilder
{
    public function __construct(
        private DebriefChanger $changer,
        private Clock $clock,
        private ReportReader $reports,
        private Calls $calls,
        private CandidateReader $candidates,
        private ShownReader $shown,
        private NowReader $now,
        private QuestionReader $questions,
        private GalleryReader $galleries,
    ) {
    }

    public function view(Lesson $lesson): DebriefView
    {
        $debrief = $this->changer->find($lesson);
        $now = $this->clock->ms();
        $round = $this->now->forLesson($lesson->id)?->roundId;
        $roles = null === $round ? [] : array_column($this->candidates->seats($round), 'role');

        return new DebriefView(
            $debrief->revision,
            $debrief->reportOrder,
            $this->reports->views($lesson, $now),
            array_map(StudentCallView::fromCall(...), $this->calls->forLesson($lesson)),
            $debrief->showsCalled,
            $debrief->showsNames,
            $this->shown->view($lesson->id, $debrief->showsNames),
            array_map(HoldUpView::fromHoldUp(...), $this->shown->heldUp($lesson->id)),
            array_values(array_unique(array_filter($roles, static fn (string $role): bool => '' !== $role))),
            $this->questions->forStaff($lesson),
            $this->gallery($lesson),
            $now,
        );
    }

    private function gallery(Lesson $lesson): ?GalleryStaffView
    {
        $gallery = $this->galleries->ofLesson($lesson->id);

        return null === $gallery
            ? null
            : new GalleryStaffView(
                $gallery->remarks,
                $gallery->until,
                array_map(RemarkView::fromRemark(...), $this->galleries->remarks($gallery)),
            );
    }
}
