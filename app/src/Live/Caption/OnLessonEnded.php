<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Caption;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\LessonEnded;
use FreshHuddle\App\Lesson\Lesson;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * What was typed in rooms is gone with the lesson.
 */
#[AsEventListener]
final readonly class OnLessonEnded
{
    public function __construct(private EntityManagerInterface $em, private Captions $captions)
    {
    }

    public function __invoke(LessonEnded $event): void
    {
        $lesson = $this->em->find(Lesson::class, $event->lesson);
        if (null !== $lesson) {
            $this->captions->forget($lesson);
        }
    }
}
