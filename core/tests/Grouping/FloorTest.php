<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping;

use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Groups and seats, and every change of them.
 */
final class FloorTest extends TestCase
{
    private Floor $floor;

    protected function setUp(): void
    {
        $this->floor = new Floor(
            [new Group('a', 'Quayside', ['s1', 's2']), new Group('b', 'Millbrook', ['s3'], 1)],
            ['s2'],
        );
    }

    public function test_who_has_no_seat_lies_on_the_shelf(): void
    {
        self::assertSame(['s4', 's5'], $this->floor->shelf(['s1', 's2', 's3', 's4', 's5']));
    }

    public function test_a_move_takes_the_last_seat_of_the_table(): void
    {
        $moved = $this->floor->seat('s1', 'b');
        self::assertSame(['s2'], $moved->group('a')->students);
        self::assertSame(['s3', 's1'], $moved->group('b')->students);
    }

    public function test_a_move_to_the_own_table_changes_nothing(): void
    {
        self::assertTrue($this->floor->equals($this->floor->seat('s1', 'a')));
    }

    public function test_two_change_seats_and_keep_the_places(): void
    {
        $swapped = $this->floor->swap('s1', 's3');
        self::assertSame(['s3', 's2'], $swapped->group('a')->students);
        self::assertSame(['s1'], $swapped->group('b')->students);
    }

    public function test_a_swap_with_somebody_on_the_shelf_sends_the_other_there(): void
    {
        $swapped = $this->floor->swap('s4', 's2');
        self::assertSame(['s1', 's4'], $swapped->group('a')->students);
        self::assertNull($swapped->groupOf('s2'));
        self::assertSame([], $swapped->fixed, 'whoever has no seat has no fixed seat');
    }

    public function test_taking_a_table_away_puts_its_students_on_the_shelf(): void
    {
        $less = $this->floor->withoutGroup('a');
        self::assertSame(['s1', 's2'], $less->shelf(['s1', 's2', 's3']));
        self::assertSame([], $less->fixed);
    }

    public function test_a_new_table_has_a_name_and_a_mark_of_its_own(): void
    {
        $more = $this->floor->rename('b', 'Group 3')->withTable('c');
        self::assertSame('Group 4', $more->group('c')->name);
        self::assertSame(2, $more->group('c')->mark);
    }

    public function test_only_who_sits_can_be_fixed(): void
    {
        self::assertSame(['s2', 's1'], $this->floor->fix('s1')->fix('s1')->fixed);
        $this->expectExceptionObject(NotOnTheFloor::student('s9'));
        $this->floor->fix('s9');
    }

    public function test_an_unknown_table_is_named(): void
    {
        $this->expectExceptionObject(NotOnTheFloor::group('z'));
        $this->floor->seat('s1', 'z');
    }

    public function test_two_on_the_shelf_have_no_seats_to_change(): void
    {
        $this->expectException(NotOnTheFloor::class);
        $this->floor->swap('s8', 's9');
    }

    public function test_whatever_is_done_everybody_has_one_seat_at_most_and_fixed_ones_sit(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(3));
        $students = array_map(static fn (int $i): string => "s{$i}", range(1, 9));
        $floor = $this->floor;
        for ($i = 0; $i < 3_000; ++$i) {
            $one = $students[$random->getInt(0, 8)];
            $other = $students[$random->getInt(0, 8)];
            $table = $floor->groups[$random->getInt(0, \count($floor->groups) - 1)]->id;
            try {
                $floor = match ($random->getInt(0, 6)) {
                    0, 1 => $floor->seat($one, $table),
                    2, 3 => $floor->swap($one, $other),
                    4 => $floor->shelve($one),
                    5 => $floor->fix($one),
                    default => \count($floor->groups) > 3
                        ? $floor->withoutGroup($table)
                        : $floor->withTable("t{$i}"),
                };
            } catch (NotOnTheFloor) {
            }
            $seated = $floor->seated();
            self::assertSame(array_values(array_unique($seated)), $seated);
            self::assertSame([], array_diff($floor->fixed, $seated));
            self::assertCount(9, [...$seated, ...$floor->shelf($students)]);
        }
    }

    public function test_tables_that_were_split_are_called_as_people_would_call_them(): void
    {
        $floor = new Floor([new Group('g', 'Quayside', ['a', 'b', 'c', 'd']), new Group('h', 'Millbrook', ['e'])]);
        $names = static fn (Floor $floor): array => array_map(
            static fn (Group $group): string => $group->name,
            $floor->groups,
        );
        $once = $floor->split('g', ['c', 'd'], 'n');
        self::assertSame(['Quayside a', 'Millbrook', 'Quayside b'], $names($once));
        self::assertSame(
            ['Quayside a', 'Millbrook', 'Quayside b', 'Quayside c'],
            $names($once->split('g', ['b'], 'm')),
        );
        $long = (new Floor([new Group('g', str_repeat('x', 60), ['a', 'b'])]))->split('g', ['b'], 'n');
        self::assertSame([60, 60], array_map(mb_strlen(...), $names($long)));
    }
}
