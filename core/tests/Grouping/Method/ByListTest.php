<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Method;

use FreshHuddle\Core\Grouping\Method\ByTable;
use FreshHuddle\Core\Grouping\Method\CountOff;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Search\NoLimit;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use FreshHuddle\Core\Tests\Support\Plainly;
use PHPUnit\Framework\TestCase;

/**
 * Counting off and going by tables follow the list.
 */
final class ByListTest extends TestCase
{
    public function test_counting_off_goes_down_the_list(): void
    {
        $class = array_map(static fn (string $id): Student => new Student($id), RandomProblem::ids(8));
        $result = (new CountOff())->solve(new Problem($class, new Size(3)), new NoLimit());
        self::assertSame([[['s1', 's4', 's7'], ['s2', 's5', 's8'], ['s3', 's6']]], $result->rounds);
    }

    public function test_rules_that_counting_off_breaks_are_said(): void
    {
        $class = array_map(
            static fn (string $id): Student => new Student($id, strtoupper($id)),
            RandomProblem::ids(6),
        );
        $result = (new CountOff())->solve(
            new Problem($class, new Size(3), rules: [new Apart(['s1', 's2']), new Apart(['s1', 's3'])]),
            new NoLimit(),
        );
        self::assertSame([1], $result->conflicts[0]->rules);
        self::assertSame(
            'conflict.method(countOff; rule.apart(S1, S3))',
            Plainly::said($result->conflicts[0]->message),
        );
    }

    public function test_tables_become_groups_in_the_order_of_their_names_and_who_has_none_is_reported(): void
    {
        $class = [
            new Student('a', '', '10'),
            new Student('b', '', '9'),
            new Student('c', '', 'b'),
            new Student('d'),
            new Student('e', '', 'A'),
            new Student('f', '', '10'),
            new Student('g', '', ''),
        ];
        $result = (new ByTable())->solve(new Problem($class, null), new NoLimit());
        self::assertSame([[['b'], ['a', 'f'], ['e'], ['c']]], $result->rounds);
        self::assertSame(['d', 'g'], $result->unplaced);
        self::assertSame(['9', '10', 'A', 'b'], ByTable::tables(new Problem($class, null)));
    }
}
