<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\RoundsAdded;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Rounds that were made together hand out the same, until one is given a plan of its own.
 */
#[AsEventListener]
final readonly class OnRoundsAdded
{
    public function __construct(private EntityManagerInterface $em, private HandOutPlan $plan)
    {
    }

    public function __invoke(RoundsAdded $event): void
    {
        $first = $this->em->find(Round::class, $event->first);
        foreach ($event->rounds as $id) {
            $round = $this->em->find(Round::class, $id);
            if (null !== $first && null !== $round) {
                $this->plan->share($round, $first);
            }
        }
    }
}
