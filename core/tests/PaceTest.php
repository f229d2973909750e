<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests;

use FreshHuddle\Core\Pace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * A server that does so many saves a second, and pages that each save as often as they may.
 */
final class PaceTest extends TestCase
{
    private const SECONDS = 90;

    #[DataProvider('pages')]
    public function test_no_save_waits_long_and_little_of_what_the_server_can_do_is_lost(
        int $pages,
        int $perSecond,
        int $every,
    ): void {
        $offered = 1_000 * $pages / $every;
        foreach ([false, true] as $allAtOnce) {
            [$waits, $done] = self::simulate($pages, $perSecond, $every, $allAtOnce);
            sort($waits);
            self::assertLessThan(1_500, $waits[(int) (0.99 * \count($waits))]);
            self::assertGreaterThan(0.5 * min($offered, $perSecond), $done / self::SECONDS);
        }
    }

    /**
     * @return iterable<string, array{int, int, int}> pages, saves a second, milliseconds between two of a page
     */
    public static function pages(): iterable
    {
        yield 'twice what it can do' => [1_000, 240, 2_000];
        yield 'a little more than it can do' => [1_000, 240, 4_000];
        yield 'less than it can do' => [400, 240, 2_000];
        yield 'few pages, a slow machine' => [200, 50, 1_000];
    }

    public function test_who_does_not_wait_is_told_no_pace(): void
    {
        [, , $paces] = self::simulate(400, 240, 2_000, false);
        self::assertSame([0], array_values(array_unique($paces)));
    }

    public function test_it_stays_in_its_bounds_and_is_gone_a_while_after_the_last_wait(): void
    {
        $pace = 0;
        for ($i = 0; $i < 100; ++$i) {
            $pace = Pace::next($pace, 5_000);
            self::assertLessThanOrEqual(Pace::SLOWEST, $pace);
        }
        self::assertSame(Pace::SLOWEST, $pace);
        $looks = 0;
        for (; 0 !== $pace; ++$looks) {
            self::assertLessThan($pace, $pace = Pace::next($pace, 0));
        }
        self::assertLessThan(90, $looks * Pace::LOOK_EVERY / 1_000);
    }

    /**
     * @return array{non-empty-list<float>, int, list<int>} ms each request waited, saves done, paces told
     */
    private static function simulate(int $pages, int $perSecond, int $every, bool $allAtOnce): array
    {
        mt_srand(7);
        /** @var \SplPriorityQueue<float, int> $next by moment */
        $next = new \SplPriorityQueue();
        for ($i = 0; $i < $pages; ++$i) {
            $next->insert($i, $allAtOnce ? 0.0 : -$i * $every / $pages);
        }
        $next->setExtractFlags(\SplPriorityQueue::EXTR_PRIORITY);
        [$free, $pace, $done, $since, $sum, $n, $waits, $paces] = [0.0, 0, 0, 0.0, 0.0, 0, [], []];
        while (true) {
            $asked = -(float) $next->extract();
            if ($asked > 1_000 * self::SECONDS) {
                break;
            }
            $begun = max($asked, $free);
            $waits[] = $wait = $begun - $asked;
            $isDone = $wait <= Pace::LONGEST_WAIT;
            $free = $begun + ($isDone ? 1_000 / $perSecond : 0.5);
            $done += $isDone ? 1 : 0;
            $sum += $wait;
            ++$n;
            if ($begun - $since >= Pace::LOOK_EVERY) {
                $paces[] = $pace = Pace::next($pace, $sum / $n);
                [$sum, $n, $since] = [0.0, 0, $begun];
            }
            $next->insert(0, -($free + max($every, $pace * (0.75 + mt_rand() / mt_getrandmax() / 2))));
        }
        self::assertNotSame([], $waits);

        return [$waits, $done, $paces];
    }
}
