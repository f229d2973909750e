<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Debrief;

use FreshHuddle\Core\Debrief\Calling\Candidate;
use FreshHuddle\Core\Debrief\Calling\FairDraw;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Calling on students is fair, over a lesson and over a term.
 */
final class FairDrawTest extends TestCase
{
    public function test_nobody_to_call_on_is_nobody(): void
    {
        self::assertNull(FairDraw::draw([], null, 1));
    }

    public function test_the_only_one_present_is_called_on_again(): void
    {
        self::assertSame('ada', FairDraw::draw([new Candidate('ada', 1, 4)], 'ada', 1));
    }

    public function test_whoever_was_called_on_least_often_comes_first(): void
    {
        $candidates = [new Candidate('ada', 3, 2), new Candidate('ben', 3, 1), new Candidate('chi', 3, 2)];
        foreach (range(1, 50) as $seed) {
            self::assertSame('ben', FairDraw::draw($candidates, null, $seed));
        }
    }

    public function test_what_counts_is_how_often_for_the_lessons_somebody_was_in(): void
    {
        // Once in ten lessons is less than once in two.
        $candidates = [new Candidate('seldom here', 2, 1), new Candidate('always here', 10, 1)];
        self::assertSame('always here', FairDraw::draw($candidates, null, 1));
    }

    public function test_never_the_same_twice_running(): void
    {
        $candidates = [new Candidate('ada', 1, 0), new Candidate('ben', 1, 5)];
        self::assertSame('ben', FairDraw::draw($candidates, 'ada', 1), 'not even after a pass, which does not count');
    }

    public function test_among_equals_chance_decides_and_the_seed_is_all_the_chance_there_is(): void
    {
        $candidates = array_map(static fn (int $i): Candidate => new Candidate("s{$i}", 1, 0), range(1, 8));
        $drawn = [];
        foreach (range(1, 400) as $seed) {
            $one = FairDraw::draw($candidates, null, $seed);
            self::assertSame($one, FairDraw::draw(array_reverse($candidates), null, $seed));
            $drawn[$one] = ($drawn[$one] ?? 0) + 1;
        }
        self::assertCount(8, $drawn);
        self::assertGreaterThan(25, min($drawn), 'nobody is left out by the draw');
    }

    /**
     * Sixty lessons with absences and passes: of two who were present equally often nobody was called on more than once
     * more often; and nobody twice running.
     */
    public function test_over_a_term_nobody_is_called_on_more_than_once_more_often_than_anybody_as_often_present(): void
    {
        foreach (range(1, 40) as $seed) {
            $chance = new Randomizer(new Xoshiro256StarStar($seed));
            $class = $chance->getInt(5, 30);
            $absence = $present = $called = [];
            for ($i = 0; $i < $class; ++$i) {
                $absence[$i] = $chance->getInt(0, 30);
                $present[$i] = $called[$i] = 0;
            }
            $last = null;
            $draws = 0;
            for ($lesson = 0; $lesson < 60; ++$lesson) {
                $here = array_keys(
                    array_filter($absence, static fn (int $of): bool => $chance->getInt(0, 99) >= $of),
                );
                foreach ($here as $i) {
                    ++$present[$i];
                }
                for ($call = $chance->getInt(0, 12); $call > 0; --$call) {
                    $drawn = FairDraw::draw(
                        array_map(
                            static fn (int $i): Candidate => new Candidate((string) $i, $present[$i], $called[$i]),
                            $here,
                        ),
                        $last,
                        $chance->getInt(0, \PHP_INT_MAX),
                    );
                    self::assertNotNull($drawn);
                    self::assertContains((int) $drawn, $here, 'nobody absent');
                    self::assertTrue($drawn !== $last || 1 === \count($here), 'never twice running');
                    $last = $drawn;
                    $called[(int) $drawn] += $chance->getInt(0, 9) > 0 ? 1 : 0; // one in ten passes
                    ++$draws;
                }
            }
            self::assertGreaterThan(100, $draws);
            foreach ($present as $i => $lessons) {
                foreach ($present as $j => $others) {
                    if ($lessons === $others) {
                        self::assertLessThanOrEqual(1, $called[$i] - $called[$j], "seed {$seed}");
                    }
                }
            }
        }
    }
}
