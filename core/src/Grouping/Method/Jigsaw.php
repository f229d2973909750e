<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\Dice;
use FreshHuddle\Core\Grouping\Search\Limit;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Start;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Message;

/**
 * Jigsaw (Aronson, 1978): home groups are balanced; in each, the topics are handed out, one after the other, those with
 * the fewest experts so far first; the experts of a topic sit together first and bring it home. Rules about groups by
 * number speak of home groups; who must be together gets the same topic.
 */
final readonly class Jigsaw implements Method
{
    /** Ways to hand out the topics, to keep the rules in the expert groups too. */
    private const HAND_OUTS = 600;

    public function solve(Problem $problem, Limit $limit): Result
    {
        $setting = Setting::fromProblem($problem, $problem->shape ?? throw ImpossibleShape::noGroup());
        $home = (new Balance())->solve($problem->balancedOnce(), $limit);
        if (!$home->keepsAllRules() || [] === $problem->topics) {
            return $home;
        }
        $groups = array_map($setting->numbersOf(...), $home->rounds[0]);
        $pairs = array_values(
            array_filter(
                $problem->rules,
                static fn (Rule $rule): bool => $rule instanceof Apart || $rule instanceof Together,
            ),
        );
        $dice = new Dice($problem->seed);
        for ($try = 0; $try < self::HAND_OUTS; ++$try) {
            $topicOf = $this->topics($groups, new Musts($setting, $pairs), \count($problem->topics), $dice);
            $experts = $this->experts($problem, $setting, $pairs, $topicOf, $dice);
            if (null !== $experts) {
                return $this->result($problem, $setting, $home, $groups, $topicOf, $experts);
            }
        }

        return $home->with(
            rounds: [],
            unplaced: array_keys($problem->labels()),
            conflicts: [new Conflict(array_keys($problem->rules), new Message('grouping.conflict.experts'))],
        );
    }

    /**
     * @param list<list<int>> $groups
     *
     * @return array<int, int> student => topic
     */
    private function topics(array $groups, Musts $musts, int $topics, Dice $dice): array
    {
        $experts = array_fill(0, $topics, 0);
        $topicOf = [];
        foreach ($groups as $group) {
            $counts = array_fill(0, $topics, 0);
            foreach ($dice->shuffle(self::units($group, $musts)) as $unit) {
                $best = 0;
                foreach ($dice->shuffle(array_keys($counts)) as $topic) {
                    if ([$counts[$topic], $experts[$topic]] < [$counts[$best], $experts[$best]]) {
                        $best = $topic;
                    }
                }
                $counts[$best] += \count($unit);
                $experts[$best] += \count($unit);
                $topicOf += array_fill_keys($unit, $best);
            }
        }

        return $topicOf;
    }

    /**
     * @param list<int> $group
     *
     * @return list<list<int>>
     */
    private static function units(array $group, Musts $musts): array
    {
        $units = [];
        foreach ($group as $student) {
            $units[$musts->unitOf[$student]][] = $student;
        }

        return array_values($units);
    }

    /**
     * Seats the experts of each topic in groups about as large as the home groups.
     *
     * @param list<Rule>      $rules
     * @param array<int, int> $topicOf
     *
     * @return array<int, list<list<string>>>|null topic => groups of ids; null where the rules do not allow it
     */
    private function experts(Problem $problem, Setting $setting, array $rules, array $topicOf, Dice $dice): ?array
    {
        $usual = max(1, (int) round($setting->n / max(1, $setting->groups())));
        $found = [];
        foreach (array_keys($problem->topics) as $topic) {
            $students = array_values(
                array_filter(
                    $problem->students,
                    static fn (int $i): bool => ($topicOf[$i] ?? null) === $topic,
                    \ARRAY_FILTER_USE_KEY,
                ),
            );
            if ([] === $students) {
                continue;
            }
            $shape = new Groups(max(1, (int) round(\count($students) / $usual)));
            $own = new Setting($students, $shape->sizes(\count($students)));
            $isPresent = array_fill_keys(array_keys($own->index), true);
            $left = array_values(
                array_filter(array_map(static fn (Rule $rule): ?Rule => $rule->among($isPresent), $rules)),
            );
            $groups = (new Start($own, new Musts($own, $left), $dice))->find(2_000);
            if (!\is_array($groups)) {
                return null;
            }
            $found[$topic] = $own->idsOf($groups);
        }

        return $found;
    }

    /**
     * @param list<list<int>>                $groups  home groups
     * @param array<int, int>                $topicOf
     * @param array<int, list<list<string>>> $experts
     */
    private function result(
        Problem $problem,
        Setting $setting,
        Result $home,
        array $groups,
        array $topicOf,
        array $experts,
    ): Result {
        $expertGroups = $topics = $lacking = [];
        foreach ($experts as $topic => $own) {
            array_push($expertGroups, ...$own);
            array_push($topics, ...array_fill(0, \count($own), $problem->topics[$topic]));
        }
        foreach ($groups as $g => $group) {
            $there = array_intersect_key($topicOf, array_flip($group));
            $lacks = array_values(array_diff_key($problem->topics, array_flip($there)));
            if ([] !== $lacks) {
                $lacking[$g + 1] = $lacks;
            }
        }
        $numbers = [array_map($setting->numbersOf(...), $expertGroups), $groups];
        $result = (new Report($problem, $setting))->found(
            $numbers,
            false,
            array_fill(0, \count($problem->goals), 0.0),
        );

        return $result->with(topics: [$topics, array_fill(0, \count($groups), '')], lacking: $lacking);
    }
}
