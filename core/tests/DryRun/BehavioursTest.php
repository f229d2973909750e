<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\DryRun;

use FreshHuddle\Core\DryRun\Behaviour;
use FreshHuddle\Core\DryRun\Behaviours;
use FreshHuddle\Core\DryRun\Draw;
use PHPUnit\Framework\TestCase;

/**
 * What is drawn follows the distributions that are stated.
 */
final class BehavioursTest extends TestCase
{
    private const MANY = 4_000;

    public function test_the_same_seed_draws_the_same_student_on_every_machine(): void
    {
        $draw = static fn (int $seed, string $student): Behaviour => Behaviours::draw(
            $seed,
            $student,
            'Ada Lovell',
            50,
            false,
        );
        self::assertEquals($draw(1, 'a'), $draw(1, 'a'));
        self::assertNotEquals($draw(1, 'a'), $draw(1, 'b'));
        self::assertNotEquals($draw(1, 'a'), $draw(2, 'a'));
        self::assertSame(0.0888, round(Draw::for(1, 'a')->part(), 4), 'drawn once, and written down here');
    }

    public function test_most_are_there_before_it_begins_and_few_never(): void
    {
        $all = self::many();
        self::assertEqualsWithDelta(
            0.6,
            self::share($all, static fn (Behaviour $one): bool => null !== $one->arrivesAt && $one->arrivesAt <= 0),
            0.03,
        );
        self::assertEqualsWithDelta(
            0.03,
            self::share($all, static fn (Behaviour $one): bool => null === $one->arrivesAt),
            0.01,
        );
        self::assertEqualsWithDelta(
            0.07,
            self::share($all, static fn (Behaviour $one): bool => ($one->arrivesAt ?? 0) >= 180_000),
            0.02,
        );
    }

    public function test_lines_are_cut_within_the_lesson_and_seldom_for_good(): void
    {
        $cut = array_filter(self::many(), static fn (Behaviour $one): bool => [] !== $one->cuts);
        self::assertEqualsWithDelta(1 / 12, \count($cut) / self::MANY, 0.02);
        $forGood = 0;
        foreach ($cut as $one) {
            foreach ($one->cuts as [$from, $until]) {
                self::assertTrue($from >= 0 && $from <= 50 * 60_000);
                self::assertTrue(null === $until || $until >= $from + 5_000);
                $forGood += null === $until ? 1 : 0;
            }
        }
        self::assertEqualsWithDelta(0.1, $forGood / \count($cut), 0.06);
    }

    public function test_the_youngest_need_twice_as_long(): void
    {
        foreach (
            [
                static fn (Behaviour $one): float => $one->reacts,
                static fn (Behaviour $one): float => $one->thinks,
                static fn (Behaviour $one): float => 1 / $one->reads,
                static fn (Behaviour $one): float => 1 / $one->writes,
            ] as $of
        ) {
            self::assertEqualsWithDelta(2 * self::middle(false, $of), self::middle(true, $of), 1e-9);
        }
    }

    public function test_figures_are_such_as_people_have(): void
    {
        foreach (self::many() as $one) {
            self::assertTrue($one->reacts > 0.2 && $one->reacts < 120);
            self::assertTrue($one->reads > 30 && $one->reads < 800);
            self::assertTrue($one->writes > 0.2 && $one->writes < 20);
            self::assertNotSame('', $one->types);
        }
    }

    public function test_names_are_mostly_as_on_the_list_and_otherwise_as_students_type_them(): void
    {
        $names = array_count_values(array_map(static fn (Behaviour $one): string => $one->types, self::many()));
        arsort($names);
        self::assertSame('Ada Lovell', array_key_first($names));
        self::assertEqualsWithDelta(0.7, $names['Ada Lovell'] / self::MANY, 0.03);
        foreach (['Ada', 'ada lovell', 'Lovell, Ada', 'Ad aLovell', 'frog'] as $other) {
            self::assertArrayHasKey($other, $names);
        }
    }

    public function test_waiting_and_needing_have_the_middle_they_say(): void
    {
        $draw = Draw::for('shape');
        $waits = $needs = [];
        for ($i = 0; $i < self::MANY; ++$i) {
            $waits[] = $draw->waiting(10.0);
            $needs[] = $draw->around(10.0, 0.5);
        }
        self::assertEqualsWithDelta(10.0, array_sum($waits) / self::MANY, 0.6);
        sort($needs);
        self::assertEqualsWithDelta(10.0, $needs[self::MANY / 2], 0.5);
        // One in six is a standard deviation above: exp(0.5) times the middle.
        self::assertEqualsWithDelta(10 * exp(0.5), $needs[(int) (self::MANY * 0.8413)], 0.8);
    }

    /**
     * @param callable(Behaviour): float $of
     */
    private static function middle(bool $isYoung, callable $of): float
    {
        $figures = [];
        for ($i = 0; $i <= 500; ++$i) {
            $figures[] = $of(Behaviours::draw(1, "s{$i}", 'Ada', 50, $isYoung));
        }
        sort($figures);

        return $figures[250];
    }

    /**
     * @return list<Behaviour>
     */
    private static function many(): array
    {
        return array_map(
            static fn (int $i): Behaviour => Behaviours::draw(1, "s{$i}", 'Ada Lovell', 50, false),
            range(1, self::MANY),
        );
    }

    /**
     * @param list<Behaviour>          $all
     * @param callable(Behaviour): bool $which
     */
    private static function share(array $all, callable $which): float
    {
        return \count(array_filter($all, $which)) / \count($all);
    }
}
