<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\LessonBegun;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Rooms\Source\RoomSources;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A lesson that is given to another class meets where the first one meets, unless that class has a place of its own
 * already.
 */
#[AsEventListener]
final readonly class OnLessonBegun
{
    public function __construct(private EntityManagerInterface $em, private RoomSources $sources)
    {
    }

    public function __invoke(LessonBegun $event): void
    {
        $from = $this->em->find(Lesson::class, $event->fromId);
        $lesson = $this->em->find(Lesson::class, $event->lessonId);
        if (null !== $from && null !== $lesson && $from->class !== $lesson->class) {
            $this->sources->goOn($from->class, $lesson->class);
        }
    }
}
