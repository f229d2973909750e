<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\SetUp\SetUpList;
use FreshHuddle\Core\Ready\SetUp\SetUpStep;

/**
 * Puts the set-up list of a round in words.
 */
final readonly class SetUpListViews
{
    public function __construct(
        private EntityManagerInterface $em,
        private SetUpLists $lists,
        private RunningOrders $orders,
        private FloorStore $floors,
        private Words $words,
    ) {
    }

    public function list(Round $round): SetUpListView
    {
        return $this->view($this->lists->ofLesson($round)[0], $round);
    }

    private function view(SetUpList $list, Round $round): SetUpListView
    {
        $numbers = [];
        foreach ($this->orders->segments($round->lesson) as $segment) {
            if (null !== $segment->round) {
                $numbers[$segment->round->id] = $segment->round->number;
            }
        }
        $names = [];
        foreach (
            array_unique(
                array_filter(
                    array_map(static fn (SetUpStep $step): ?string => $step->round, $list->steps),
                    is_string(...),
                ),
            ) as $id
        ) {
            $grouping = $this->em->find(Round::class, $id)->grouping ?? $round->grouping;
            foreach ($this->floors->now($grouping->id)->groups as $group) {
                $names[$group->id] = $group->name;
            }
        }
        $summary = $list->summary();
        $worded = [];
        // Many steps have one reason.
        $say = function (Message $message) use (&$worded): string {
            return $worded[json_encode($message, \JSON_THROW_ON_ERROR)] ??= $this->words->say($message);
        };

        return new SetUpListView(
            $list->digest(),
            null === $summary ? null : $this->words->say($summary),
            \count($list->steps) - \count($list->harmless()),
            array_map(
                fn (SetUpStep $step): ListedStep => new ListedStep(
                    null === $step->loses ? $step->key() : $step->sure(),
                    $step->kind,
                    $step->group,
                    $this->words->say($step->says),
                    $say($step->because),
                    null === $step->loses ? null : $this->words->say($step->loses),
                    null === $step->round ? null : $numbers[$step->round] ?? null,
                    null === $step->group ? null : $names[$step->group] ?? null,
                ),
                $list->steps,
            ),
        );
    }
}
