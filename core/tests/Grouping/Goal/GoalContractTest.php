<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\NameList;
use FreshHuddle\Core\Grouping\Format\ProblemReader;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Grouping\Search\Evaluation;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Student;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What holds for every goal, whatever it is about. A new kind is a row in `read`.
 */
final class GoalContractTest extends TestCase
{
    private const N = 7;
    private const SIZES = [3, 2, 2];

    #[DataProvider('kinds')]
    public function test_it_is_read_from_a_file_with_its_weight(GoalKind $kind): void
    {
        foreach (self::read($kind, 0) as $goal) {
            self::assertSame(2.5, $goal->weight());
        }
    }

    #[DataProvider('kinds')]
    public function test_nothing_is_cheaper_than_its_bound_and_no_cost_is_below_nothing(GoalKind $kind): void
    {
        for ($seed = 0; $seed < 6; ++$seed) {
            [$setting, $arrangements] = self::problem($seed);
            foreach (self::read($kind, $seed) as $goal) {
                $evaluation = new Evaluation($setting, [$goal]);
                $least = min([
                    \INF,
                    ...array_map(
                        static fn (array $groups): float => $evaluation->goalCost($goal, [$groups]),
                        $arrangements,
                    ),
                ]);
                self::assertGreaterThanOrEqual(-1e-9, $least);
                self::assertLessThanOrEqual($least + 1e-9, $goal->lowerBound($setting, 1));
            }
        }
    }

    #[DataProvider('kinds')]
    public function test_a_bar_is_full_where_it_costs_nothing_and_something_is_in_the_way_where_it_does_not(
        GoalKind $kind,
    ): void {
        for ($seed = 0; $seed < 6; ++$seed) {
            [$setting, $arrangements] = self::problem($seed);
            $named = new NameList($setting, ['Quayside', 'Millbrook', 'Harbour']);
            foreach (self::read($kind, $seed) as $goal) {
                $evaluation = new Evaluation($setting, [$goal]);
                foreach (\array_slice($arrangements, 0, 60) as $groups) {
                    $cost = $evaluation->goalCost($goal, [$groups]);
                    $degree = $goal->degree($setting, $groups);
                    self::assertGreaterThanOrEqual(0.0, $degree->value);
                    self::assertLessThanOrEqual(1.0, $degree->value);
                    self::assertTrue($degree->met >= 0 && $degree->met <= $degree->of);
                    if ($cost <= 1e-9) {
                        self::assertSame(1.0, $degree->value);
                    } else {
                        self::assertStringStartsWith(
                            'grouping.obstacle.',
                            $goal->obstacle($setting, $groups, $named)->code ?? '',
                        );
                    }
                }
            }
        }
    }

    #[DataProvider('kinds')]
    public function test_by_itself_and_by_what_changes_it_counts_the_same(GoalKind $kind): void
    {
        for ($seed = 0; $seed < 6; ++$seed) {
            [$setting, $arrangements] = self::problem($seed);
            foreach (self::read($kind, $seed) as $goal) {
                $rounds = [$arrangements[$seed], $arrangements[($seed * 31 + 5) % \count($arrangements)]];
                self::assertCount(2, $goal->tallies($setting, 2));
                self::assertEqualsWithDelta(
                    (new Evaluation($setting, [$goal]))->goalCost($goal, $rounds),
                    $goal->meetingsCost($setting, $rounds) +
                        array_sum(
                            array_map(
                                static fn (array $groups): float => array_sum(
                                    array_map(
                                        static fn (array $group): float => $goal->groupCost($setting, $group),
                                        $groups,
                                    ),
                                ),
                                $rounds,
                            ),
                        ),
                    1e-9,
                );
            }
        }
    }

    #[DataProvider('kinds')]
    public function test_what_it_says_of_a_student_names_nobody_of_another_group(GoalKind $kind): void
    {
        for ($seed = 0; $seed < 6; ++$seed) {
            [$setting, $arrangements] = self::problem($seed);
            $named = new NameList($setting);
            foreach (self::read($kind, $seed) as $goal) {
                foreach (\array_slice($arrangements, 0, 20) as $groups) {
                    foreach ($groups as $group) {
                        foreach ($group as $student) {
                            $said = json_encode(
                                $goal->reason($setting, $student, $group, $named),
                                \JSON_THROW_ON_ERROR,
                            );
                            foreach (array_diff(range(0, self::N - 1), $group) as $elsewhere) {
                                self::assertStringNotContainsString('"'.$named->student($elsewhere).'"', $said);
                            }
                        }
                    }
                }
            }
        }
    }

    /**
     * @return iterable<string, array{GoalKind}>
     */
    public static function kinds(): iterable
    {
        foreach (GoalKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    /**
     * @return list<Goal> as a file would set it, for numbers and for other values where it is for both
     */
    private static function read(GoalKind $kind, int $seed): array
    {
        $fields = match ($kind) {
            GoalKind::Spread, GoalKind::Alike => [['attribute' => 'level'], ['attribute' => 'language']],
            GoalKind::EachHas => [['tag' => 'lead', 'atLeast' => 1], ['tag' => 'lead', 'atLeast' => 2]],
            GoalKind::NotAlone => [['attribute' => 'language']],
            GoalKind::NewPartners => [[]],
            GoalKind::Wishes => [['wishes' => ['s1' => ['s2', 's5'], 's3' => ['s1'], 's4' => []]]],
        };
        $students = array_map(
            static fn (Student $student): array => [
                'id' => $student->id,
                'attributes' => (object) $student->attributes,
                'tags' => $student->tags,
            ],
            (new RandomProblem($seed))->students(self::N),
        );

        return (new ProblemReader())->read(
            json_encode(
                [
                    'format' => 'fresh-huddle/grouping-problem',
                    'version' => 1,
                    'students' => $students,
                    'shape' => ['groups' => 3],
                    'goals' => array_map(
                        static fn (array $one): array => ['kind' => $kind->value, 'weight' => 2.5] + $one,
                        $fields,
                    ),
                ],
                \JSON_THROW_ON_ERROR,
            ),
        )->goals;
    }

    /**
     * @return array{Setting, list<list<list<int>>>} a class with something before, and every arrangement of it
     */
    private static function problem(int $seed): array
    {
        $random = new RandomProblem($seed);
        $setting = new Setting($random->students(self::N), self::SIZES, $random->history(self::N, 2));
        $all = [];
        foreach (Oracle::arrangements(RandomProblem::ids(self::N), self::SIZES) as $groups) {
            $all[] = array_map($setting->numbersOf(...), $groups);
        }

        return [$setting, $all];
    }
}
