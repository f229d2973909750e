<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Live;

use FreshHuddle\Core\Live\Visit\GroupAt;
use FreshHuddle\Core\Live\Visit\NextVisit;
use FreshHuddle\Core\Live\Visit\Reason;
use FreshHuddle\Core\Live\Visit\VisitOrder;
use FreshHuddle\Core\Live\Work\Stillness;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Whom to visit next.
 */
final class VisitOrderTest extends TestCase
{
    private const OUT = 1_000_000;
    private const MINUTE = 60_000;

    public function test_who_calls_comes_first_and_who_has_waited_longest_before_the_others(): void
    {
        $order = $this->order([
            new GroupAt('a', changedAt: self::OUT),
            new GroupAt('b', calledAt: self::OUT + 2_000),
            new GroupAt('c', calledAt: self::OUT + 1_000, visits: 3),
        ]);
        self::assertSame([['c', Reason::Called], ['b', Reason::Called], ['a', Reason::NotYet]], $order);
    }

    public function test_everybody_is_visited_once_before_anybody_twice(): void
    {
        $later = self::OUT + 10 * self::MINUTE;
        $order = $this->order(
            [
                new GroupAt('a', visits: 1, visitedAt: $later - 3 * self::MINUTE, changedAt: self::OUT),
                new GroupAt('b', visits: 0, changedAt: $later),
            ],
            $later,
        );
        self::assertSame('b', $order[0][0], 'even if the other sits still');
    }

    public function test_who_has_been_still_for_long_is_taken_to_call_and_waits_in_the_same_queue(): void
    {
        $now = self::OUT + 12 * self::MINUTE;
        $order = $this->order(
            [
                new GroupAt('fresh', changedAt: $now),
                new GroupAt('calls', calledAt: $now - self::MINUTE, changedAt: $now),
                new GroupAt('stuck', visits: 1, visitedAt: self::OUT + self::MINUTE, changedAt: self::OUT),
                new GroupAt('done', changedAt: self::OUT, progress: 1.0, visits: 1, visitedAt: self::OUT),
            ],
            $now,
        );
        self::assertSame(
            [
                ['stuck', Reason::Still],
                ['calls', Reason::Called],
                ['fresh', Reason::NotYet],
                ['done', Reason::LongAgo],
            ],
            $order,
        );
    }

    public function test_among_those_not_visited_goes_first_who_needs_it_most(): void
    {
        $now = self::OUT + 5 * self::MINUTE;
        $order = $this->order(
            [
                new GroupAt('fine', changedAt: $now, progress: 0.6),
                new GroupAt('silent', changedAt: $now, progress: 0.6, silent: 2),
                new GroupAt('missing', changedAt: $now, progress: 0.6, missing: 1),
                new GroupAt('behind', changedAt: $now, progress: 0.1),
                new GroupAt('still', changedAt: self::OUT, progress: 0.6),
            ],
            $now,
        );
        self::assertSame(
            [
                ['still', Reason::Still],
                ['behind', Reason::Behind],
                ['missing', Reason::Missing],
                ['silent', Reason::Silent],
                ['fine', Reason::NotYet],
            ],
            $order,
        );
    }

    public function test_who_is_done_may_sit_still_and_who_was_just_visited_is_thinking(): void
    {
        $now = self::OUT + 8 * self::MINUTE;
        $order = $this->order(
            [
                new GroupAt(
                    'done',
                    changedAt: self::OUT,
                    progress: 1.0,
                    visits: 1,
                    visitedAt: $now - 6 * self::MINUTE,
                ),
                new GroupAt(
                    'thinking',
                    changedAt: self::OUT,
                    progress: 1.0,
                    visits: 1,
                    visitedAt: $now - self::MINUTE,
                ),
            ],
            $now,
        );
        self::assertSame([['done', Reason::LongAgo], ['thinking', Reason::LongAgo]], $order);
    }

    public function test_a_group_somebody_is_with_is_not_in_the_order(): void
    {
        self::assertSame(
            [['b', Reason::NotYet]],
            $this->order([new GroupAt('a', calledAt: self::OUT, visited: true), new GroupAt('b')]),
        );
    }

    public function test_for_any_lesson_each_group_stands_in_the_order_once_calls_first_and_the_fewest_visits_before_more(): void
    {
        for ($seed = 0; $seed < 300; ++$seed) {
            $dice = new Randomizer(new Xoshiro256StarStar($seed));
            $now = self::OUT + $dice->getInt(0, 30) * self::MINUTE;
            $moment = static fn (): ?int => 0 === $dice->getInt(0, 2) ? null : $dice->getInt(self::OUT, $now);
            $groups = [];
            for ($i = 0, $n = $dice->getInt(0, 40); $i < $n; ++$i) {
                $visits = $dice->getInt(0, 3);
                $groups["g{$i}"] = new GroupAt(
                    "g{$i}",
                    0 === $dice->getInt(0, 4) ? $moment() : null,
                    $visits,
                    0 === $visits ? null : $dice->getInt(self::OUT, $now),
                    0 === $dice->getInt(0, 9),
                    $moment(),
                    $dice->getInt(0, 10) / 10,
                    max(0, $dice->getInt(-3, 2)),
                    max(0, $dice->getInt(-3, 2)),
                );
            }
            $order = VisitOrder::forGroups(array_values($groups), $now, self::OUT);
            $ids = array_map(static fn (NextVisit $next): string => $next->group, $order);
            self::assertEqualsCanonicalizing(
                array_keys(array_filter($groups, static fn (GroupAt $group): bool => !$group->visited)),
                $ids,
                "seed {$seed}",
            );
            $last = [-1, 0];
            foreach ($order as $next) {
                $group = $groups[$next->group];
                self::assertSame(null !== $group->calledAt, Reason::Called === $next->reason);
                $silent =
                    max($group->changedAt ?? self::OUT, $group->visitedAt ?? self::OUT) + Stillness::CALLS_AFTER;
                $calls = $group->calledAt ?? ($group->progress < 1.0 && $silent <= $now ? $silent : null);
                $rank = null !== $calls ? [0, $calls] : [1, $group->visits];
                self::assertTrue($last <= $rank, "seed {$seed}");
                $last = $rank;
            }
        }
    }

    /**
     * @param list<GroupAt> $groups
     *
     * @return list<array{string, Reason}>
     */
    private function order(array $groups, int $now = self::OUT + self::MINUTE): array
    {
        return array_map(
            static fn (NextVisit $next): array => [$next->group, $next->reason],
            VisitOrder::forGroups($groups, $now, self::OUT),
        );
    }
}
