<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\Method\Deal;
use FreshHuddle\Core\Grouping\Placement;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Search\NoLimit;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Student;
use PHPUnit\Framework\TestCase;

/**
 * Whatever the method: everybody has one seat, and rules are kept.
 */
final class PlacementTest extends TestCase
{
    public function test_everybody_has_one_seat_and_the_sizes_are_as_asked(): void
    {
        foreach ([1, 2, 3, 4, 5, 17, 28, 120, 400] as $n) {
            foreach ([1, 2, 3, 6, 50] as $groups) {
                $floor = self::deal(new Floor(), self::students($n), $groups, 7);
                self::assertSame((new Groups($groups))->sizes($n), self::sizes($floor));
                $seated = $floor->seated();
                sort($seated);
                $all = self::students($n);
                sort($all);
                self::assertSame($all, $seated);
            }
        }
    }

    public function test_the_same_seed_deals_the_same_whatever_the_order_of_the_list(): void
    {
        $students = self::students(28);
        $once = self::deal(new Floor(), $students, 6, 1953);
        self::assertTrue($once->equals(self::deal(new Floor(), $students, 6, 1953)));
        self::assertTrue($once->equals(self::deal(new Floor(), array_reverse($students), 6, 1953)));
        self::assertFalse($once->equals(self::deal(new Floor(), $students, 6, 1954)));
    }

    public function test_it_is_held_to_one_answer_on_every_machine(): void
    {
        $floor = self::deal(new Floor(), self::students(7), 2, 42);
        self::assertSame([['s7', 's2', 's6', 's4'], ['s3', 's5', 's1']], self::seats($floor));
    }

    public function test_every_arrangement_comes_up_about_as_often_as_any_other(): void
    {
        $counts = [];
        $rounds = 6_000;
        for ($seed = 0; $seed < $rounds; ++$seed) {
            $seats = array_map(static function (array $group): string {
                sort($group);

                return implode('', $group);
            }, self::seats(self::deal(new Floor(), self::students(4), 2, $seed)));
            $key = implode('|', $seats);
            $counts[$key] = ($counts[$key] ?? 0) + 1;
        }
        self::assertCount(6, $counts); // four students into two numbered pairs
        $expected = $rounds / 6;
        $chiSquare = array_sum(
            array_map(static fn (int $count): float => ($count - $expected) ** 2 / $expected, $counts),
        );
        self::assertLessThan(20.5, $chiSquare, 'five degrees of freedom, one in a thousand');
    }

    public function test_fixed_seats_stay_while_the_rest_is_dealt_again(): void
    {
        $floor = self::deal(new Floor(), self::students(17), 5, 1)->fix('s3')->fix('s9')->fix('s17');
        for ($seed = 0; $seed < 60; ++$seed) {
            $again = self::deal($floor, self::students(17), 5, $seed);
            foreach (['s3', 's9', 's17'] as $student) {
                self::assertSame($floor->groupOf($student)?->id, $again->groupOf($student)?->id);
            }
            self::assertSame(['s3', 's9', 's17'], $again->fixed);
        }
    }

    public function test_more_fixed_at_a_table_than_its_size_keep_it_and_others_give_up_seats(): void
    {
        $floor = new Floor(
            [
                new Group('a', 'A', ['s1', 's2', 's3', 's4', 's5']),
                new Group('b', 'B', [], 1),
                new Group('c', 'C', [], 2),
            ],
            ['s1', 's2', 's3', 's4', 's5'],
        );
        $dealt = self::deal($floor, self::students(9), 3, 5);
        self::assertSame(['s1', 's2', 's3', 's4', 's5'], $dealt->group('a')->students);
        self::assertSame([5, 2, 2], self::sizes($dealt));
    }

    public function test_tables_keep_their_id_name_and_mark_so_that_rooms_and_copies_stay_theirs(): void
    {
        $floor = self::deal(new Floor(), self::students(12), 3, 1)->rename('g1', 'Quayside');
        $more = self::deal($floor, self::students(12), 5, 2);
        self::assertSame(
            ['g1', 'g2', 'g3', 'g4', 'g5'],
            array_map(static fn (Group $group): string => $group->id, $more->groups),
        );
        self::assertSame('Quayside', $more->groups[0]->name);
        self::assertSame([0, 1, 2, 3, 4], array_map(static fn (Group $group): int => $group->mark, $more->groups));
        $fewer = self::deal($more, self::students(12), 2, 3);
        self::assertSame(['g1', 'g2'], array_map(static fn (Group $group): string => $group->id, $fewer->groups));
    }

    public function test_a_table_with_a_fixed_seat_is_not_the_one_that_goes(): void
    {
        $floor = self::deal(new Floor(), self::students(12), 4, 1);
        $last = $floor->groups[3]->students[0];
        $fewer = self::deal($floor->fix($last), self::students(12), 2, 9);
        self::assertSame('g4', $fewer->groupOf($last)?->id);
        self::assertCount(2, $fewer->groups);
    }

    public function test_fixed_seats_in_more_tables_than_asked_for_are_a_contradiction(): void
    {
        $floor = self::deal(new Floor(), self::students(12), 3, 1);
        foreach ($floor->groups as $group) {
            $floor = $floor->fix($group->students[0]);
        }
        $this->expectExceptionObject(ImpossibleShape::fixedSeatsNeedGroups(3, 2));
        self::deal($floor, self::students(12), 2, 1);
    }

    public function test_somebody_absent_is_not_dealt_and_loses_the_fixed_seat(): void
    {
        $floor = self::deal(new Floor(), self::students(9), 3, 1)->fix('s4');
        $without = array_values(array_diff(self::students(9), ['s4']));
        $dealt = self::deal($floor, $without, 3, 2);
        self::assertNull($dealt->groupOf('s4'));
        self::assertSame([], $dealt->fixed);
        self::assertSame(['s4'], $dealt->shelf(self::students(9)));
    }

    public function test_by_size(): void
    {
        self::assertCount(6, self::placed(new Floor(), self::students(17), new Size(3), 1)->groups);
    }

    public function test_who_stays_at_a_table_keeps_the_place_in_its_row(): void
    {
        $floor = new Floor([new Group('a', 'A', ['s4', 's2', 's6', 's1'])]);
        $placement = Placement::ontoFloor($floor, self::students(4), new Groups(1), static fn (): string => 'b');
        self::assertSame(
            ['s4', 's2', 's1', 's3'],
            $placement->floor([['s1', 's2', 's3', 's4']])->groups[0]->students,
        );
        self::assertSame(
            ['s1', 's2', 's3', 's4'],
            $placement->floor([['s1', 's2', 's3', 's4']], true)->groups[0]->students,
        );
    }

    /**
     * @param list<string> $students
     */
    private static function deal(Floor $floor, array $students, int $groups, int $seed): Floor
    {
        return self::placed($floor, $students, new Groups($groups), $seed);
    }

    /**
     * @param list<string> $students
     */
    private static function placed(Floor $floor, array $students, Shape $shape, int $seed): Floor
    {
        $next = \count($floor->groups);
        $placement = Placement::ontoFloor($floor, $students, $shape, static function () use (&$next): string {
            return 'g'.++$next;
        });
        $class = array_map(static fn (string $id): Student => new Student($id), $students);
        $result = (new Deal())->solve(
            new Problem($class, $placement->shape(), rules: $placement->fixedSeats(), seed: $seed),
            new NoLimit(),
        );

        return $placement->floor($result->rounds[0], true);
    }

    /**
     * @return list<string>
     */
    private static function students(int $n): array
    {
        return array_map(static fn (int $i): string => "s{$i}", range(1, $n));
    }

    /**
     * @return list<int>
     */
    private static function sizes(Floor $floor): array
    {
        return array_map('count', self::seats($floor));
    }

    /**
     * @return list<list<string>>
     */
    private static function seats(Floor $floor): array
    {
        return array_map(static fn (Group $group): array => $group->students, $floor->groups);
    }
}
