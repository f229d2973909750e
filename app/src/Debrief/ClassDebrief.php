<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use FreshHuddle\App\Debrief\Gallery\OpenGalleryView;
use FreshHuddle\App\Debrief\HoldUp\ShownView;
use FreshHuddle\App\Debrief\Question\QuestionView;
use FreshHuddle\App\Debrief\ShareOut\ReportView;

/**
 * What a whole class may see while its work is talked about: the same for every student and for the page on the wall.
 */
final readonly class ClassDebrief
{
    /**
     * @param int                  $revision how often this has changed
     * @param ReportView|null      $report   who reports and who comes next; null outside a share-out
     * @param ShownView|null       $shown    work that is shown to everybody
     * @param CalledView|null      $called   who is asked to speak, if every screen shows the name
     * @param QuestionView|null    $question the one being asked, or the one whose answers are shown
     * @param OpenGalleryView|null $gallery  null while it is closed
     */
    public function __construct(
        public int $revision,
        public ?ReportView $report = null,
        public ?ShownView $shown = null,
        public ?CalledView $called = null,
        public ?QuestionView $question = null,
        public ?OpenGalleryView $gallery = null,
    ) {
    }

    public function withGallery(?OpenGalleryView $gallery): self
    {
        return new self($this->revision, $this->report, $this->shown, $this->called, $this->question, $gallery);
    }
}
