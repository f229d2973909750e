<?php

/**
 * The order of visits, judged in a thousand lessons by a seed: against going round in order, and against going where
 * called. Groups work at paces of their own, get stuck, some of those call and the others sit still; whoever goes round
 * needs a moment to get there and stays a while, longer with who is stuck. Prints a table; fails nothing.
 */

declare(strict_types=1);

require dirname(__DIR__) . '/vendor/autoload.php';

use FreshHuddle\Core\Live\Visit\Fairness;
use FreshHuddle\Core\Live\Visit\GroupAt;
use FreshHuddle\Core\Live\Visit\VisitOrder;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

const LESSONS = 1_000;
const MINUTES = 25;
const STEP = 5; // seconds

/** A number from 0 to 1. */
function part(Randomizer $dice): float
{
    return $dice->getInt(0, 1_000_000) / 1_000_000;
}

/**
 * @param callable(list<array<string, mixed>>, int): ?int $policy which group next, by groups and second; null: none yet
 *
 * @return array{calls: list<int>, stuck: int, visited: float, spread: float}
 *     seconds a call waits; the longest a stuck group waits; share of groups visited; how far apart the most and
 *     the least visited are, in minutes
 */
function lesson(int $seed, callable $policy): array
{
    $world = new Randomizer(new Xoshiro256StarStar($seed));
    $groups = [];
    for ($i = 0, $n = $world->getInt(6, 12); $i < $n; ++$i) {
        // When a group will get stuck is drawn beforehand, so that every policy meets the same lesson.
        $stuckAt = [];
        for ($at = $world->getInt(60, 900); $at < 60 * MINUTES; $at += $world->getInt(240, 1_200)) {
            $stuckAt[] = [$at, part($world) < 0.5 ? $at + $world->getInt(10, 120) : null];
        }
        $groups[] = [
            'pace' => 0.5 + part($world),
            'stuckAt' => $stuckAt,
            'done' => 0.0,
            'changed' => null,
            'stuck' => null,
            'calls' => null,
            'calling' => null,
            'visits' => 0,
            'visitedAt' => null,
            'minutes' => 0.0,
            'missing' => 0,
            'silent' => part($world) < 0.3 ? 1 : 0,
        ];
    }
    $calls = [];
    $longest = 0;
    $with = null;
    $until = 0;
    for ($now = 0; $now < 60 * MINUTES; $now += STEP) {
        foreach ($groups as $i => &$group) {
            foreach ($group['stuckAt'] as $k => [$at, $call]) {
                if ($now >= $at && null === $group['stuck']) {
                    $group['stuck'] = $now;
                    $group['calls'] = $call;
                    unset($group['stuckAt'][$k]);
                    break;
                }
            }
            if (null === $group['stuck']) {
                if ($group['done'] < 1) {
                    $group['done'] += (STEP * $group['pace']) / (60 * MINUTES);
                    $group['changed'] = $now;
                }
            } elseif (null !== $group['calls'] && $now >= $group['calls'] && null === $group['calling']) {
                $group['calling'] = $now;
            }
            if (null !== $group['stuck'] && $i !== $with) {
                $longest = max($longest, $now - $group['stuck']);
            }
        }
        unset($group);
        if (null !== $with && $now >= $until) {
            $groups[$with]['visitedAt'] = $now;
            $with = null;
        }
        if (null === $with && null !== ($next = $policy($groups, $now))) {
            $with = $next;
            $one = &$groups[$next];
            if (null !== $one['calling']) {
                $calls[] = $now - $one['calling'];
            }
            $stay = null === $one['stuck'] ? 45 : 90;
            $until = $now + 15 + $stay;
            ++$one['visits'];
            $one['minutes'] += $stay / 60;
            $one['stuck'] = $one['calls'] = $one['calling'] = null;
            unset($one);
        }
    }
    foreach ($groups as $group) {
        if (null !== $group['calling']) {
            $calls[] = 60 * MINUTES - $group['calling'];
        }
    }
    $fair = Fairness::fromTimes(
        array_map(static fn(float $minutes): int => (int) round(60_000 * $minutes), array_column($groups, 'minutes')),
    );

    return ['calls' => $calls, 'stuck' => $longest, 'visited' => $fair->visited, 'spread' => $fair->spread / 60_000];
}

$round = 0;
$policies = [
    'the visit order' => static function (array $groups, int $now): ?int {
        $seen = [];
        foreach ($groups as $i => $group) {
            $ms = static fn(?int $second): ?int => null === $second ? null : 1_000 * $second;
            $seen[] = new GroupAt(
                (string) $i,
                $ms($group['calling']),
                $group['visits'],
                $ms($group['visitedAt']),
                false,
                $ms($group['changed']),
                min(1.0, $group['done']),
                $group['missing'],
                $group['silent'],
            );
        }
        $order = VisitOrder::forGroups($seen, 1_000 * $now, 0);

        return [] === $order ? null : (int) $order[0]->group;
    },
    'round in order' => static function (array $groups, int $now) use (&$round): ?int {
        return $round++ % count($groups);
    },
    'where called' => static function (array $groups, int $now): ?int {
        $calling = array_filter(array_column($groups, 'calling'), is_int(...));
        if ([] === $calling) {
            return null;
        }
        foreach ($groups as $i => $group) {
            if ($group['calling'] === min($calling)) {
                return $i;
            }
        }

        return null;
    },
];
$at = static function (array $values, float $part): float {
    sort($values);

    return [] === $values ? 0.0 : (float) $values[(int) floor($part * (count($values) - 1))];
};
printf(
    "%d lessons of %d minutes, 6 to 12 groups\n\n| | a call waits, median | 90th percentile | longest a stuck group waits, median | 90th percentile | groups visited | most and least visited apart |\n|---|---|---|---|---|---|---|\n",
    LESSONS,
    MINUTES,
);
foreach ($policies as $name => $policy) {
    $calls = $stuck = $visited = $spread = [];
    for ($seed = 1; $seed <= LESSONS; ++$seed) {
        $round = 0;
        $lesson = lesson($seed, $policy);
        $calls = [...$calls, ...$lesson['calls']];
        $stuck[] = $lesson['stuck'];
        $visited[] = $lesson['visited'];
        $spread[] = $lesson['spread'];
    }
    printf(
        "| %s | %d s | %d s | %d s | %d s | %d %% | %.1f min |\n",
        $name,
        $at($calls, 0.5),
        $at($calls, 0.9),
        $at($stuck, 0.5),
        $at($stuck, 0.9),
        (100 * array_sum($visited)) / LESSONS,
        array_sum($spread) / LESSONS,
    );
}
