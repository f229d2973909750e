<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Rehearsal;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Ready\FindingView;
use FreshHuddle\App\Ready\FindingViews;
use FreshHuddle\Core\DryRun\Rehearsal\Middle;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedLesson;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedRound;
use FreshHuddle\Core\DryRun\Rehearsal\Rehearsals;
use FreshHuddle\Core\DryRun\Rehearsal\RehearsedRound;
use FreshHuddle\Core\Ready\Finding;

/**
 * Rehearses a lesson a few times, as often as there is time for in a second or two.
 */
final readonly class Rehearser
{
    private const MOST = 7;
    /** Minutes of students that are rehearsed in a second, about. */
    private const PACE = 5_000;
    /** A lesson with more than this is not rehearsed: somebody waits for the answer. */
    private const LARGEST = 60_000;

    public function __construct(
        private LessonPlanner $planner,
        private RunningOrders $orders,
        private FindingViews $views,
    ) {
    }

    public function rehearse(Lesson $lesson): RehearsalView
    {
        $plan = $this->planner->plan($lesson);
        $size = self::size($plan);
        if (0 === $size || $size > self::LARGEST) {
            return new RehearsalView(0, [], []);
        }
        $rehearsals = Rehearsals::of($plan, max(1, min(self::MOST, intdiv(self::PACE, $size))));
        $segments = [];
        foreach ($this->orders->segments($lesson) as $segment) {
            $segments[$segment->round->number ?? 0] = $segment->id;
        }

        return new RehearsalView(
            \count($rehearsals->runs),
            array_map(
                fn (Finding $finding): FindingView => $this->views->view(
                    $finding,
                    1 === \count($plan->rounds) ? [] : $finding->rounds,
                    $segments[$finding->rounds[0] ?? 0] ?? null,
                ),
                $rehearsals->findings(),
            ),
            array_map(
                static fn (PlannedRound $round, int $at): RehearsedRoundView => self::round(
                    $round,
                    array_column($rehearsals->runs, $at),
                ),
                $plan->rounds,
                array_keys($plan->rounds),
            ),
        );
    }

    /**
     * @param list<RehearsedRound> $rehearsed
     */
    private static function round(PlannedRound $round, array $rehearsed): RehearsedRoundView
    {
        $calls = array_merge(...array_map(static fn (RehearsedRound $one): array => $one->calls, $rehearsed));

        return new RehearsedRoundView(
            $round->number,
            (int) Middle::among($rehearsed, static fn (RehearsedRound $one): float => Middle::of($one->moved, 0.9)),
            (int) Middle::among($rehearsed, static fn (RehearsedRound $one): int => self::full($one->visits)),
            \count($round->tables),
            [] === $calls ? null : (int) Middle::of($calls),
            (int) Middle::among($rehearsed, static fn (RehearsedRound $one): float => Middle::of($one->back, 0.9)),
            (int) Middle::among($rehearsed, static fn (RehearsedRound $one): int => self::full($one->done)),
        );
    }

    /**
     * @param array<string, int|float> $figures
     */
    private static function full(array $figures): int
    {
        return \count(array_filter($figures, static fn (int|float $figure): bool => $figure >= 1));
    }

    /**
     * @return int students times minutes of their rounds
     */
    private static function size(PlannedLesson $plan): int
    {
        $minutes = 0;
        foreach ($plan->rounds as $round) {
            $minutes += [] === $round->tables ? 0 : $round->minutes;
        }

        return $minutes * \count($plan->students);
    }
}
