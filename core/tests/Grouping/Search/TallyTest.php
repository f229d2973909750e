<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Search;

use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * The local search judges a swap by what it changes; that has to be what counting all again gives.
 */
final class TallyTest extends TestCase
{
    public function test_what_a_swap_is_said_to_change_is_what_it_changes_for_every_goal_over_rounds_and_with_vacancies(): void
    {
        $moves = 0;
        for ($seed = 0; $seed < 60; ++$seed) {
            $random = new RandomProblem($seed);
            $n = $random->number(5, 14);
            $rounds = $random->number(1, 3);
            $problem = new Problem(
                $random->students($n),
                new Groups($random->number(2, 4)),
                rounds: $rounds,
                goals: $random->goals($n),
                history: $random->history($n, 2),
            );
            $setting = Setting::fromProblem($problem, new Groups($random->number(2, 4)));
            $oracle = new Oracle($problem);
            $boards = [];
            for ($round = 0; $round < $rounds; ++$round) {
                $boards[] = new Arrangement(self::someArrangement($setting, $seed + $round), $n);
            }
            foreach ($problem->goals as $number => $goal) {
                $tallies = $goal->tallies($setting, $rounds);
                foreach ($tallies as $round => $tally) {
                    $tally->load($boards[$round]);
                }
                for ($step = 0; $step < 25; ++$step) {
                    $round = $random->number(0, $rounds - 1);
                    $board = $boards[$round];
                    $i = $random->number(0, $board->all - 1);
                    $j = $random->number(0, $board->all - 1);
                    if ($board->groupOf[$i] === $board->groupOf[$j] || !$board->keepsSizes($i, $j)) {
                        continue;
                    }
                    $moves += $i >= $n || $j >= $n ? 1 : 0;
                    $before = $oracle->goalCost($goal, self::asIds($boards, $setting));
                    $delta = $tallies[$round]->delta($board, $i, $j);
                    $tallies[$round]->swap($board, $i, $j);
                    $board->swap($i, $j);
                    self::assertEqualsWithDelta(
                        $oracle->goalCost($goal, self::asIds($boards, $setting)) - $before,
                        $delta,
                        1e-9,
                        "goal {$number}, seed {$seed}",
                    );
                }
            }
        }
        self::assertGreaterThan(100, $moves, 'moves into empty places were among them');
    }

    /**
     * @return list<list<int>>
     */
    private static function someArrangement(Setting $setting, int $seed): array
    {
        $students = range(0, $setting->n - 1);
        usort($students, static fn (int $a, int $b): int => ($a * 7 + $seed) % 11 <=> ($b * 7 + $seed) % 11);
        $groups = [];
        foreach ($setting->sizes as $size) {
            $groups[] = array_splice($students, 0, $size);
        }

        return $groups;
    }

    /**
     * @param list<Arrangement> $boards
     *
     * @return list<list<list<string>>>
     */
    private static function asIds(array $boards, Setting $setting): array
    {
        return array_map(static fn (Arrangement $board): array => $setting->idsOf($board->groups()), $boards);
    }
}
