<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\LessonEnded;
use FreshHuddle\App\Lesson\Event\SegmentBegun;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\Segment;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * When a lesson goes on or is over, everybody may speak again.
 */
final readonly class OnLessonCourse
{
    public function __construct(private EntityManagerInterface $em, private Speakers $speakers)
    {
    }

    #[AsEventListener]
    public function ofSegment(SegmentBegun $event): void
    {
        $this->reset($this->em->find(Segment::class, $event->segment)?->lesson);
    }

    #[AsEventListener]
    public function ofEnd(LessonEnded $event): void
    {
        $this->reset($this->em->find(Lesson::class, $event->lesson));
    }

    private function reset(?Lesson $lesson): void
    {
        if (null !== $lesson) {
            $this->speakers->reset($lesson);
        }
    }
}
