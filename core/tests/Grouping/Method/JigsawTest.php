<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Method;

use FreshHuddle\Core\Grouping\Method\Jigsaw;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\StepLimit;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Tests\Grouping\Support\Oracle;
use FreshHuddle\Core\Tests\Grouping\Support\RandomProblem;
use PHPUnit\Framework\TestCase;

/**
 * Expert groups and home groups.
 */
final class JigsawTest extends TestCase
{
    public function test_every_home_group_has_an_expert_for_every_topic_wherever_sizes_allow(): void
    {
        for ($n = 6; $n <= 34; ++$n) {
            foreach ([2, 3, 4, 5] as $topics) {
                $problem = self::problem($n, new Size(4), $topics);
                $result = (new Jigsaw())->solve($problem, new StepLimit(20));
                [$experts, $home] = $result->rounds;
                foreach ($result->rounds as $groups) {
                    self::assertEqualsCanonicalizing(RandomProblem::ids($n), array_merge(...$groups));
                }
                $topicOf = [];
                foreach ($experts as $g => $group) {
                    foreach ($group as $id) {
                        $topicOf[$id] = $result->topics[0][$g];
                    }
                }
                foreach ($home as $g => $group) {
                    $there = array_unique(array_map(static fn (string $id): string => $topicOf[$id], $group));
                    self::assertCount(min($topics, \count($group)), $there, "{$n} students, {$topics} topics");
                    self::assertSame(
                        array_values(array_diff($problem->topics, $there)),
                        $result->lacking[$g + 1] ?? [],
                    );
                }
            }
        }
    }

    public function test_topics_have_about_as_many_experts_each_and_no_expert_sits_alone(): void
    {
        $result = (new Jigsaw())->solve(self::problem(28, new Groups(7), 4), new StepLimit(20));
        $experts = [];
        foreach ($result->rounds[0] as $g => $group) {
            self::assertGreaterThan(1, \count($group));
            $topic = $result->topics[0][$g];
            $experts[$topic] = ($experts[$topic] ?? 0) + \count($group);
        }
        self::assertSame([7, 7, 7, 7], array_values($experts));
        self::assertSame([], $result->lacking);
    }

    public function test_rules_hold_among_experts_too(): void
    {
        $rules = [
            new Apart(['s1', 's2']),
            new Apart(['s3', 's4', 's5']),
            new Together(['s6', 's7']),
            new Seat('s8', 2),
        ];
        $result = (new Jigsaw())->solve(self::problem(24, new Size(4), 4, $rules), new StepLimit(20));
        self::assertTrue($result->keepsAllRules());
        $oracle = new Oracle(new Problem([], null, rules: $rules));
        self::assertTrue($oracle->keeps($result->rounds[1]));
        self::assertTrue($oracle->keeps($result->rounds[0], \array_slice($rules, 0, 3)));
    }

    /**
     * @param list<Rule> $rules
     */
    private static function problem(int $n, Shape $shape, int $topics, array $rules = []): Problem
    {
        return new Problem(
            (new RandomProblem($n))->students($n),
            $shape,
            MethodKind::Jigsaw,
            rules: $rules,
            seed: 3,
            topics: \array_slice(['housing', 'wildlife', 'money', 'water', 'people'], 0, $topics),
        );
    }
}
