<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Explain;

use FreshHuddle\Core\Grouping\Explain\Standing;
use FreshHuddle\Core\Grouping\Explain\Standings;
use FreshHuddle\Core\Grouping\Explain\WhyHere;
use FreshHuddle\Core\Grouping\Goal\Alike;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use FreshHuddle\Core\Tests\Support\Plainly;
use PHPUnit\Framework\TestCase;

/**
 * Groups are explained in words.
 */
final class ExplainTest extends TestCase
{
    public function test_a_bar_says_how_far_a_goal_is_met_and_what_stands_in_the_way(): void
    {
        $class = [
            new Student('a', 'Ada', null, ['level' => 5, 'language' => 'so'], ['lead']),
            new Student('b', 'Ben', null, ['level' => 4, 'language' => 'pl'], ['lead']),
            new Student('c', 'Chi', null, ['level' => 1, 'language' => 'so']),
            new Student('d', 'Dov', null, ['level' => 2, 'language' => 'pl']),
        ];
        $setting = new Setting($class, [2, 2], [[['a', 'b'], ['c', 'd']]]);
        $goals = [
            new Spread('level'),
            new EachHas('lead'),
            new NotAlone('language'),
            new NewPartners(),
            new Alike('level'),
        ];
        $standings = (new Standings($setting, ['Quayside', 'Millbrook']))->forGoals($goals, [[0, 1], [2, 3]]);
        self::assertSame(
            [
                'obstacle.spread_values(level; some(Quayside, Millbrook; 0))',
                'obstacle.each_has(some(Millbrook; 0); 2; yes)',
                'obstacle.not_alone(some(with_value(Ada; so), with_value(Ben; pl), with_value(Chi; so); 1))',
                'obstacle.new_partners(some(pair(Ada; Ben), pair(Chi; Dov); 0))',
                '',
            ],
            array_map(static fn (Standing $standing): string => Plainly::said($standing->obstacle), $standings),
        );
        self::assertSame(
            'summary.each(band.between(0; 1; band.value(level; 5)), band.between(0; 1; band.value(level; 4)), band.between(0; 1; band.value(level; 2)), band.between(0; 1; band.value(level; 1)))',
            Plainly::said($standings[0]->summary),
        );
        self::assertSame(
            [0.0, 0.5, 0.0, 0.0, 1.0],
            array_map(static fn ($standing): float => $standing->degree->value, $standings),
        );
        $better = (new Standings($setting, ['Quayside', 'Millbrook']))->forGoals($goals, [[0, 2], [1, 3]]);
        self::assertSame(
            ['', '', ''],
            array_map(
                static fn (Standing $standing): string => Plainly::said($standing->obstacle),
                \array_slice($better, 0, 3),
            ),
        );
        self::assertSame(
            [1.0, 1.0, 1.0, 1.0],
            array_map(static fn ($standing): float => $standing->degree->value, \array_slice($better, 0, 4)),
        );
    }

    public function test_what_each_group_has_is_said_as_a_teacher_would_check_it(): void
    {
        $class = array_map(
            static fn (int $level): Student => new Student(
                "s{$level}".bin2hex(random_bytes(4)),
                attributes: ['Level' => $level],
            ),
            [1, 1, 1, 2, 2, 2, 3, 3, 3],
        );
        $standings = new Standings(new Setting($class, [3, 3, 3]), ['Quayside', 'Millbrook', 'Saltmarsh']);
        $even = $standings->forGoals([new Spread('Level')], [[0, 3, 6], [1, 4, 7], [2, 5, 8]])[0];
        self::assertSame(
            'summary.each(band.exactly(1; band.value(level; 3)), band.exactly(1; band.value(level; 2)), band.exactly(1; band.value(level; 1)))',
            Plainly::said($even->summary),
        );
        $uneven = $standings->forGoals([new Spread('Level')], [[7, 3, 6], [1, 4, 0], [2, 5, 8]])[0];
        self::assertStringContainsString(
            'summary.exception(Quayside; band.exactly(2; band.value(level; 3)), band.exactly(0; band.value(level; 1)))',
            Plainly::said($uneven->summary),
        );
        $many = array_map(
            static fn (int $i): Student => new Student("m{$i}", attributes: ['Mark' => $i]),
            range(1, 9),
        );
        self::assertSame(
            'summary.each(band.exactly(1; band.high(mark)), band.exactly(1; band.middle(mark)), band.exactly(1; band.low(mark)))',
            Plainly::said(
                (new Standings(new Setting($many, [3, 3, 3]), []))->forGoals(
                    [new Spread('Mark')],
                    [[0, 4, 8], [1, 5, 6], [2, 3, 7]],
                )[0]->summary,
            ),
        );
    }

    public function test_why_a_student_sits_there_is_said_in_sentences(): void
    {
        $class = [
            new Student('a', 'Ada', null, ['language' => 'so', 'level' => 3], ['lead']),
            new Student('b', 'Ben', null, ['language' => 'so', 'level' => 1]),
            new Student('c', 'Chi'),
            new Student('d', 'Dov'),
        ];
        $why = new WhyHere(
            new Setting($class, [2, 2], [[['a', 'b']]]),
            [new Apart(['a', 'c']), new Together(['a', 'b'])],
            [new EachHas('lead'), new NotAlone('language'), new NewPartners(), new Spread('level')],
            [[0, 1], [2, 3]],
        );
        self::assertSame(
            [
                'reason.apart(Chi)',
                'reason.together(Ben)',
                'reason.each_has(lead)',
                'reason.not_alone(language; so; Ben)',
                'reason.old_partners(Ben)',
                'reason.spread(level; 3; 2)',
            ],
            array_map(Plainly::said(...), $why->reasons(0)),
        );
        self::assertSame(
            ['rule.apart(Ada, Chi)', 'rule.together(Ada, Ben)'],
            array_map(Plainly::said(...), $why->effects(0)[0]->breaks),
        );
    }

    public function test_what_a_move_is_said_to_change_and_break_is_what_it_changes_and_breaks(): void
    {
        for ($seed = 0; $seed < 60; ++$seed) {
            $random = new RandomProblem(70_000 + $seed);
            $n = $random->number(5, 9);
            $problem = new Problem(
                $random->students($n),
                null,
                rules: $random->rules($n, 3, 4),
                goals: $random->goals($n),
                history: $random->history($n, 1),
            );
            $groups = [[], [], []];
            for ($i = 0; $i < $n; ++$i) {
                $groups[$random->number(0, 2)][] = $i;
            }
            $groups = array_values($groups);
            $setting = new Setting($problem->students, array_map('count', $groups), $problem->history);
            $oracle = new Oracle($problem);
            $student = $random->number(0, $n - 1);
            foreach (
                (new WhyHere($setting, $problem->rules, $problem->goals, $groups))->effects($student) as $effect
            ) {
                $moved = array_map(
                    static fn (array $group): array => array_values(array_diff($group, [$student])),
                    $groups,
                );
                $moved[$effect->group][] = $student;
                $ids = $setting->idsOf(array_values($moved));
                self::assertEqualsWithDelta(
                    $oracle->cost([$ids]) - $oracle->cost([$setting->idsOf($groups)]),
                    $effect->change,
                    1e-6,
                );
                foreach ($problem->rules as $rule) {
                    $id = 's'.($student + 1);
                    if (!\in_array($id, $rule->students(), true)) {
                        continue;
                    }
                    // Of a rule that keeps several apart, only what this student does to it.
                    $about =
                        $rule instanceof Apart
                            ? array_map(
                                static fn (string $other): Apart => new Apart([$id, $other]),
                                array_values(array_diff($rule->students, [$id])),
                            )
                            : [$rule];
                    $isSaid = \in_array(
                        Plainly::said($rule->inWords(static fn (string $one): string => 'Student '.$one)),
                        array_map(Plainly::said(...), $effect->breaks),
                        true,
                    );
                    self::assertSame(!$oracle->keeps($ids, $about), $isSaid, "seed {$seed}");
                }
            }
        }
    }
}
