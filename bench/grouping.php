<?php

/**
 * How good the engine's groups are and how fast they come, for a fixed set of problems, beside a plain baseline on the
 * same clock: arrangements dealt at random that keep the rules, again and again, the best kept. Prints figures; fails
 * nothing.
 */

declare(strict_types=1);

require dirname(__DIR__) . '/vendor/autoload.php';

use FreshHuddle\App\Grouping\Proposal\ClockLimit;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use FreshHuddle\Core\Grouping\Method\Balance;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\Dice;
use FreshHuddle\Core\Grouping\Search\Evaluation;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Start;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Student;

/**
 * @return list<Student>
 */
function students(int $n): array
{
    $dice = new Dice(1_000 + $n);
    $students = [];
    for ($i = 1; $i <= $n; ++$i) {
        $students[] = new Student(
            "s{$i}",
            '',
            null,
            ['level' => 1 + $dice->below(5), 'language' => ['so', 'pl', 'uk', 'en', 'en', 'en'][$dice->below(6)]],
            0 === $dice->below(4) ? ['lead'] : [],
        );
    }

    return $students;
}

/**
 * @return list<Rule> about two in three keep a pair apart, the others keep one together
 */
function rules(int $n, int $count): array
{
    $order = (new Dice(2_000 + $n))->shuffle(range(1, $n));
    $rules = [];
    for ($i = 0; $i < $count; ++$i) {
        $pair = ["s{$order[2 * $i]}", "s{$order[2 * $i + 1]}"];
        $rules[] = 2 === $i % 3 ? new Together($pair) : new Apart($pair);
    }

    return $rules;
}

/**
 * @return list<list<list<string>>>
 */
function history(int $n, int $size, int $times): array
{
    $history = [];
    for ($i = 0; $i < $times; ++$i) {
        $ids = (new Dice(3_000 + $i))->shuffle(array_map(static fn(int $s): string => "s{$s}", range(1, $n)));
        $history[] = array_chunk($ids, $size);
    }

    return $history;
}

function wishes(int $n): Wishes
{
    $dice = new Dice(4_000 + $n);
    $wishes = [];
    for ($i = 1; $i <= $n; ++$i) {
        $wishes["s{$i}"] = ['s' . (1 + $dice->below($n)), 's' . (1 + $dice->below($n))];
    }

    return new Wishes($wishes, 1.0);
}

function problem(int $n, Shape $shape, int $rules, int $rounds, int $limit): Problem
{
    $goals =
        1 === $rounds
            ? [
                new Spread('level', 3.0),
                new Spread('language', 1.0),
                new NotAlone('language', 2.0),
                new EachHas('lead', 1, 2.0),
                new NewPartners(1.0),
                wishes($n),
            ]
            : [new NewPartners(1.0)];

    return new Problem(
        students($n),
        $shape,
        rounds: $rounds,
        rules: rules($n, $rules),
        goals: $goals,
        history: 1 === $rounds ? history($n, 4, 2) : [],
        seed: 7,
        timeLimitMs: $limit,
    );
}

/**
 * @return array{float, int} the best cost, and of how many
 */
function baseline(Problem $problem): array
{
    $limit = new ClockLimit($problem->timeLimitMs);
    $setting = Setting::fromProblem($problem, $problem->shape ?? new Groups(1));
    $musts = new Musts($setting, $problem->rules);
    $evaluation = new Evaluation($setting, $problem->goals);
    $dice = new Dice($problem->seed);
    $best = INF;
    $tries = 0;
    do {
        $rounds = [];
        for ($round = 0; $round < $problem->rounds; ++$round) {
            $groups = (new Start($setting, $musts, $dice))->find();
            if (is_array($groups)) {
                $rounds[] = $groups;
            }
        }
        $best = min($best, $evaluation->cost($rounds));
        ++$tries;
    } while (!$limit->isReached());

    return [$best, $tries];
}

$problems = [
    '10 in 3 groups, 2 rules, 6 goals' => problem(10, new Groups(3), 2, 1, 1_000),
    '28 in 6 groups, 6 rules, 6 goals' => problem(28, new Groups(6), 6, 1, 1_000),
    '32 in 8 groups, 10 rules, 6 goals' => problem(32, new Groups(8), 10, 1, 1_000),
    '120 in fours, 20 rules, 6 goals' => problem(120, new Size(4), 20, 1, 2_000),
    '400 in fours, 40 rules, 6 goals' => problem(400, new Size(4), 40, 1, 5_000),
    '1,000 in 250 groups, 60 rules, 6 goals' => problem(1_000, new Groups(250), 60, 1, 5_000),
    'rotation: 9 in threes, 4 rounds' => problem(9, new Size(3), 0, 4, 3_000),
    'rotation: 15 in threes, 7 rounds' => problem(15, new Size(3), 0, 7, 3_000),
    'rotation: 16 in fours, 5 rounds' => problem(16, new Size(4), 0, 5, 3_000),
    'rotation: 25 in fives, 6 rounds' => problem(25, new Size(5), 0, 6, 3_000),
    'rotation: 28 in fours, 6 rounds, 4 rules' => problem(28, new Size(4), 4, 6, 5_000),
    'rotation: 24 in 6 groups, 6 rounds' => problem(24, new Groups(6), 0, 6, 5_000),
];
printf("%-42s %10s %10s %9s %9s %8s   %s\n", '', 'first', 'best', 'cost', 'baseline', 'repeats', '');
foreach ($problems as $name => $problem) {
    $began = hrtime(true);
    $first = $last = null;
    $at = 0.0;
    foreach ((new Balance())->improve($problem, new ClockLimit($problem->timeLimitMs)) as $result) {
        $now = (hrtime(true) - $began) / 1e6;
        $first ??= $now;
        $at = null === $last || $result->cost < $last->cost ? $now : $at;
        $last = $result;
    }
    $ended = (hrtime(true) - $began) / 1e6;
    [$cost, $tries] = baseline($problem);
    printf(
        "%-42s %7.0f ms %7.0f ms %9.2f %9.2f %8d   %s, ended after %.0f ms; baseline the best of %d\n",
        $name,
        $first,
        $at,
        $last?->cost,
        $cost,
        $last?->repeats,
        true === $last?->proven ? 'proven' : 'not proven',
        $ended,
        $tries,
    );
}
