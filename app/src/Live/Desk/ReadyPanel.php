<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Desk;

use FreshHuddle\App\Lesson\Order\RunningOrderView;
use FreshHuddle\App\Ready\FindingView;
use FreshHuddle\App\Ready\Readiness;
use FreshHuddle\App\Ready\RoundParts;
use FreshHuddle\App\Ready\SetUp\SetUpLists;
use FreshHuddle\App\Ready\SetUp\SetUpReader;
use FreshHuddle\App\Ready\SetUp\SetUpSummary;
use FreshHuddle\App\Ready\SetUp\SetUpView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Whereabouts;
use FreshHuddle\Core\Ready\SetUp\SetUpList;

/**
 * The ready check of a lesson's page, and what setting it up would do.
 */
final readonly class ReadyPanel
{
    public function __construct(
        private Readiness $readiness,
        private SetUpLists $setUpLists,
        private SetUpReader $setUps,
        private Words $words,
    ) {
    }

    /**
     * @return array{list<FindingView>, SetUpSummary|null, SetUpView|null} what is not in place, what stops first; what
     *     would be done; what is being done
     */
    public function build(LessonMoment $at, RoundParts $parts, RunningOrderView $order): array
    {
        $setUp = $this->setUps->forLesson($at->lesson->id);
        $isPlanned = !$at->isOver && \in_array($at->phase(), [Phase::Planned, Phase::Back], true);
        if (!$isPlanned) {
            return [[], null, $setUp];
        }
        [$list, $lists] = $this->setUpLists->ofLesson($at->round, $at->everybody, false);
        $inUse = array_filter(
            array_map(static fn (Whereabouts $whereabouts): ?string => $whereabouts->at, $at->where),
            \is_string(...),
        );
        $findings = $this->readiness->findings(
            $at->round,
            $at->students,
            $order,
            $list,
            $lists,
            $setUp->running ?? false,
            $parts,
            array_values($inUse),
        );

        return [$findings, $this->summary($list), $setUp];
    }

    private function summary(SetUpList $list): SetUpSummary
    {
        $press = $list->summary();

        return new SetUpSummary(
            $list->digest(),
            null === $press ? null : $this->words->say($press),
            \count($list->steps),
            \count($list->steps) - \count($list->harmless()),
        );
    }
}
