<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Order\RunningOrderView;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\ReadyCheck;
use FreshHuddle\Core\Ready\SetUp\SetUpList;

/**
 * Is everything in place for a lesson, and if not, what exactly is not.
 */
final readonly class Readiness
{
    public function __construct(
        private EntityManagerInterface $em,
        private FloorStore $floors,
        private RoundPartsReader $parts,
        private PlanBuilder $plans,
        private FindingViews $views,
        private RoomSources $sources,
        private SoundReader $sound,
    ) {
    }

    /**
     * @param Round                    $shown       the round that is looked at
     * @param list<StudentView>        $students    those of the class list who can be seated
     * @param SetUpList                $all         what would be done to set the lesson up
     * @param array<string, SetUpList> $lists       the same, by round: these rounds are checked
     * @param bool                     $isSettingUp it is being done
     * @param list<string>             $inUse       places where somebody is: `main`, or the id of a group
     * @param RoundParts               $parts       what there is for the round that is looked at
     *
     * @return list<FindingView> what stops first
     */
    public function findings(
        Round $shown,
        array $students,
        RunningOrderView $order,
        SetUpList $all,
        array $lists,
        bool $isSettingUp,
        RoundParts $parts,
        array $inUse = [],
    ): array {
        $class = $shown->lesson->class;
        $sound = $this->sources->forClass($class)->kind->isHere() ? $this->sound->forClass($class) : null;
        $plans = $rounds = [];
        foreach ($order->segments as $segment) {
            $round =
                null === $segment->round || !isset($lists[$segment->round->id])
                    ? null
                    : $this->em->find(Round::class, $segment->round->id);
            if (null !== $round) {
                $number = $round->number ?? 0;
                $plans[$number] = $this->plans->build(
                    $round,
                    $students,
                    $order,
                    $all,
                    $lists[$round->id],
                    $isSettingUp,
                    $round === $shown ? $parts : $this->parts->read($round, $this->floors->now($round->grouping->id)),
                    $inUse,
                    $sound,
                );
                $rounds[$number] = $segment->id;
            }
        }

        return array_map(
            fn (Finding $finding): FindingView => $this->views->view(
                $finding,
                \count($finding->rounds) === \count($plans) ? [] : $finding->rounds,
                // What is found in the round that is looked at is mended there.
                \in_array($shown->number, $finding->rounds, true) ? null : $rounds[$finding->rounds[0] ?? 0] ?? null,
            ),
            ReadyCheck::standard()->runAll($plans),
        );
    }
}
