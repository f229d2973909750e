<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Event\LessonBegun;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Materials\HandOut\HandOutPlan;
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
        foreach ($event->rounds as $was => $is) {
            $from = $this->em->find(Round::class, $was);
            $round = $this->em->find(Round::class, $is);
            if (null !== $from && null !== $round) {
                $this->plan->carryOver($from->id, $round, $this->groups($from, $round));
            }
        }
    }

    /**
     * The groups there and here: the same ones where the grouping is the same.
     *
     * @return array<string, string>
     */
    private function groups(Round $from, Round $to): array
    {
        $here = $this->byPosition($to);
        $groups = [];
        foreach ($this->byPosition($from) as $position => $group) {
            if (isset($here[$position])) {
                $groups[$group] = $here[$position];
            }
        }

        return $groups;
    }

    /**
     * @return array<int, string>
     */
    private function byPosition(Round $round): array
    {
        $groups = [];
        foreach ($this->em->getRepository(WorkGroup::class)->findBy(['grouping' => $round->grouping]) as $group) {
            if (null !== $group->position) {
                $groups[$group->position] = $group->id;
            }
        }

        return $groups;
    }
}
