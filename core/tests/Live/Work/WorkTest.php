<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Live\Work;

use FreshHuddle\Core\Live\Visit\Fairness;
use FreshHuddle\Core\Live\Work\Progress;
use FreshHuddle\Core\Live\Work\Stillness;
use PHPUnit\Framework\TestCase;

/**
 * When a group is done, when it is still, and whether visits are fair.
 */
final class WorkTest extends TestCase
{
    public function test_a_group_is_done_when_all_is_filled_or_when_it_says_so(): void
    {
        self::assertFalse((new Progress(3, 4))->isDone(false));
        self::assertTrue((new Progress(4, 4))->isDone(false));
        self::assertTrue((new Progress(0, 4))->isDone(true));
        self::assertFalse(
            (new Progress(0, 0))->isDone(false),
            'work with nothing to fill is done only when they say so',
        );
        self::assertSame(
            [0.75, 0.0, 1.0],
            [(new Progress(3, 4))->share(), (new Progress(0, 0))->share(), (new Progress(9, 4))->share()],
        );
    }

    public function test_a_group_is_still_when_nothing_has_stirred_for_a_while_and_it_is_not_done(): void
    {
        $since = Stillness::since(null, null, 1_000);
        self::assertSame(1_000, $since, 'from when they went out');
        self::assertFalse(Stillness::isStill($since, false, 1_000 + Stillness::AFTER - 1));
        self::assertTrue(Stillness::isStill($since, false, 1_000 + Stillness::AFTER));
        self::assertFalse(Stillness::isStill($since, true, 1_000 + Stillness::AFTER), 'whoever is done may sit still');
        self::assertSame(60_000, Stillness::since(50_000, 60_000, 1_000), 'a visit stirs, too');
        self::assertSame(70_000, Stillness::since(70_000, 60_000, 1_000));
    }

    public function test_who_is_still_for_long_is_taken_to_call(): void
    {
        self::assertNull(Stillness::callingSince(0, false, Stillness::CALLS_AFTER - 1));
        self::assertSame(Stillness::CALLS_AFTER, Stillness::callingSince(0, false, Stillness::CALLS_AFTER));
        self::assertSame(
            Stillness::CALLS_AFTER,
            Stillness::callingSince(0, false, 2 * Stillness::CALLS_AFTER),
            'and has waited since then',
        );
        self::assertNull(Stillness::callingSince(0, true, 2 * Stillness::CALLS_AFTER));
    }

    public function test_visits_are_fair_when_everybody_was_visited_for_as_long(): void
    {
        self::assertSame(
            [1.0, 0],
            [Fairness::fromTimes([60_000, 60_000])->visited, Fairness::fromTimes([60_000, 60_000])->spread],
        );
        self::assertSame(
            [0.5, 120_000],
            [Fairness::fromTimes([120_000, 0])->visited, Fairness::fromTimes([120_000, 0])->spread],
        );
        self::assertSame([1.0, 0], [Fairness::fromTimes([])->visited, Fairness::fromTimes([])->spread]);
    }
}
