<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Search;

use FreshHuddle\Core\Grouping\Method\Balance;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\NoLimit;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use FreshHuddle\Core\Tests\Support\Plainly;
use PHPUnit\Framework\TestCase;

/**
 * Rules that contradict each other are named.
 */
final class ConflictsTest extends TestCase
{
    public function test_the_rules_named_contradict_each_other_and_without_any_one_of_them_they_do_not(): void
    {
        $found = 0;
        for ($seed = 0; $found < 120; ++$seed) {
            $random = new RandomProblem(20_000 + $seed);
            $n = $random->number(4, 6);
            $problem = new Problem(
                $random->students($n),
                new Groups($random->number(2, 3)),
                rules: $random->rules($n, 3, $random->number(3, 7)),
                seed: $seed,
            );
            $result = (new Balance())->solve($problem, new NoLimit());
            $possible = self::isPossible($problem, array_keys($problem->rules));
            self::assertSame($possible, $result->keepsAllRules(), "seed {$seed}");
            $lifted = array_keys($problem->rules);
            foreach ($result->conflicts as $conflict) {
                ++$found;
                self::assertFalse(self::isPossible($problem, $conflict->rules), "seed {$seed}");
                foreach ($conflict->rules as $rule) {
                    self::assertTrue(
                        self::isPossible($problem, array_values(array_diff($conflict->rules, [$rule]))),
                        "seed {$seed}: rule {$rule} is not needed",
                    );
                }
                self::assertCount(
                    self::smallest($problem, $lifted),
                    $conflict->rules,
                    "seed {$seed}: a smaller set would do",
                );
                $lifted = array_values(array_diff($lifted, $conflict->rules));
            }
            self::assertTrue(self::isPossible($problem, $lifted), 'the rest can be kept');
        }
    }

    public function test_a_teacher_is_told_by_name_what_contradicts_what(): void
    {
        $class = [new Student('a', 'Ada'), new Student('b', 'Ben'), new Student('c', 'Chi'), new Student('d', 'Dov')];
        $problem = new Problem(
            $class,
            new Groups(2),
            rules: [new Apart(['a', 'd']), new Together(['a', 'b']), new Together(['b', 'c'])],
        );
        $conflict = (new Balance())->solve($problem, new NoLimit())->conflicts[0];
        self::assertSame([1, 2], $conflict->rules);
        self::assertSame(
            'conflict.several(rule.together(Ada, Ben), rule.together(Ben, Chi); shape.of_sizes(2; 2))',
            Plainly::said($conflict->message),
        );
    }

    public function test_a_rule_that_cannot_be_kept_by_itself_is_named_alone(): void
    {
        $class = [new Student('a', 'Ada'), new Student('b', 'Ben'), new Student('c', 'Chi'), new Student('d', 'Dov')];
        $problem = new Problem($class, new Groups(2), rules: [new Seat('a', 2), new Apart(['a', 'b', 'c'])]);
        $conflict = (new Balance())->solve($problem, new NoLimit())->conflicts[0];
        self::assertSame([1], $conflict->rules);
        self::assertSame(
            'conflict.one(rule.apart(Ada, Ben, Chi); shape.of_sizes(2; 2))',
            Plainly::said($conflict->message),
        );
    }

    public function test_in_a_large_class_one_contradiction_among_many_rules_is_found(): void
    {
        $random = new RandomProblem(77);
        $rules = [];
        for ($i = 1; $i <= 40; ++$i) {
            $rules[] = new Apart(['s'.$i, 's'.($i + 40)]);
        }
        array_splice($rules, 20, 0, [new Seat('s100', 3), new Together(['s100', 's101']), new Seat('s101', 4)]);
        $problem = new Problem($random->students(120), new Groups(30), rules: $rules);
        $conflicts = (new Balance())->solve($problem, new NoLimit())->conflicts;
        self::assertCount(1, $conflicts);
        self::assertSame([20, 21, 22], $conflicts[0]->rules);
    }

    /**
     * @param list<int> $rules
     */
    private static function isPossible(Problem $problem, array $rules): bool
    {
        $oracle = new Oracle($problem);
        $n = \count($problem->students);
        $these = array_map(static fn (int $rule) => $problem->rules[$rule], $rules);
        foreach (Oracle::arrangements(RandomProblem::ids($n), $problem->shape?->sizes($n) ?? []) as $groups) {
            if ($oracle->keeps($groups, $these)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<int> $rules
     */
    private static function smallest(Problem $problem, array $rules): int
    {
        $n = \count($problem->students);
        $oracle = new Oracle($problem);
        $broken = []; // for each arrangement, which rules it breaks
        foreach (Oracle::arrangements(RandomProblem::ids($n), $problem->shape?->sizes($n) ?? []) as $groups) {
            $mask = 0;
            foreach ($rules as $at => $rule) {
                $mask |= $oracle->keeps($groups, [$problem->rules[$rule]]) ? 0 : 1 << $at;
            }
            $broken[$mask] = true;
        }
        $smallest = \count($rules);
        for ($set = 1; $set < 1 << \count($rules); ++$set) {
            $hitsAll = true;
            foreach (array_keys($broken) as $mask) {
                $hitsAll = $hitsAll && 0 !== ($mask & $set);
            }
            if ($hitsAll) {
                $smallest = min($smallest, substr_count(decbin($set), '1'));
            }
        }

        return $smallest;
    }
}
