<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Debrief\Calling\Calls;
use FreshHuddle\App\Debrief\Gallery\Galleries;
use FreshHuddle\App\Debrief\HoldUp\HoldUps;
use FreshHuddle\App\Debrief\Question\Questions;
use FreshHuddle\App\Debrief\ShareOut\ShareOuts;
use FreshHuddle\App\Lesson\Event\LessonEnded;
use FreshHuddle\App\Lesson\Event\SegmentBegun;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\SegmentKind;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * When a lesson goes on or is over, what was shown is put down; when a share-out begins, its groups are in order. The
 * lesson is held meanwhile.
 */
final readonly class OnLessonCourse
{
    public function __construct(
        private EntityManagerInterface $em,
        private DebriefChanger $changer,
        private HoldUps $holdUps,
        private ShareOuts $shareOuts,
        private Calls $calls,
        private Questions $questions,
        private Galleries $galleries,
    ) {
    }

    #[AsEventListener]
    public function ofSegment(SegmentBegun $event): void
    {
        $segment = $this->em->find(Segment::class, $event->segment);
        if (null !== $segment) {
            $this->clear($segment->lesson, $segment);
        }
    }

    #[AsEventListener]
    public function ofEnd(LessonEnded $event): void
    {
        $lesson = $this->em->find(Lesson::class, $event->lesson);
        if (null !== $lesson) {
            $this->clear($lesson, null);
        }
    }

    private function clear(Lesson $lesson, ?Segment $segment): void
    {
        $isShareOut = SegmentKind::ShareOut === $segment?->kind;
        if (!$isShareOut && null === $this->em->find(Debrief::class, $lesson->id)) {
            return; // nothing has been talked about yet
        }
        $this->changer->apply($lesson, Actor::clock(), function (Debrief $debrief, int $now) use (
            $lesson,
            $segment,
            $isShareOut,
        ): ?array {
            $wasShown = $this->holdUps->drop($lesson);
            $wasCalled = $this->calls->clear($lesson);
            $wasAsked = null === $segment && $this->questions->stop($lesson, $now);
            $wasOpen = null === $segment && $this->galleries->stop($lesson, $now);
            $hasStopped = $this->shareOuts->stop($lesson, $now);
            if ($isShareOut && null !== $segment) {
                $this->shareOuts->prepare($debrief, $segment);
            }

            return match (true) {
                $wasShown => [new Event(EventKind::PutDown, $now)],
                $wasCalled, $wasAsked, $wasOpen, $hasStopped, $isShareOut => [],
                default => null,
            };
        });
    }
}
