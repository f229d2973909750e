<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\LessonBegun;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A lesson begun from another hands out the same originals; what was written stays where it is.
 */
#[AsEventListener]
final readonly class OnLessonBegun
{
    public function __construct(private EntityManagerInterface $em, private HandOutPlan $plan)
    {
    }

    public function __invoke(LessonBegun $event): void
    {
        foreach ($event->rounds as $was => $newRound) {
            $from = $this->em->find(Round::class, $was);
            $round = $this->em->find(Round::class, $newRound);
            if (null !== $from && null !== $round) {
                $this->plan->carryOver($from, $round, $this->plan->placesOf($from, $round));
            }
        }
        $this->plan->shareAsBefore($event->rounds);
    }
}
