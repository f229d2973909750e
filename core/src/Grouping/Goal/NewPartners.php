<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\Degree;
use FreshHuddle\Core\Grouping\Explain\DegreeUnit;
use FreshHuddle\Core\Grouping\Explain\NameList;
use FreshHuddle\Core\Grouping\Format\GoalContext;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Message;

/**
 * As few old partners as can be: each time a pair is together it costs how often it was before, in these rounds and,
 * less the longer ago, in the history.
 */
final readonly class NewPartners implements Goal
{
    public function __construct(private float $weight = 1.0)
    {
    }

    public function weight(): float
    {
        return $this->weight;
    }

    public function groupCost(Setting $setting, array $group): float
    {
        $met = $setting->met();
        $cost = 0.0;
        foreach ($group as $at => $i) {
            foreach (\array_slice($group, $at + 1) as $j) {
                $cost += $met[$i][$j] ?? 0.0;
            }
        }

        return $cost;
    }

    public function meetingsCost(Setting $setting, array $rounds): float
    {
        return (float) self::repeats($rounds, true);
    }

    /**
     * How often a pair meets that has met before in these rounds.
     *
     * @param list<list<list<int>>> $rounds
     * @param bool                  $weighted count the third time twice, the fourth three times, …
     */
    public static function repeats(array $rounds, bool $weighted = false): int
    {
        $met = [];
        $repeats = 0;
        foreach ($rounds as $groups) {
            foreach ($groups as $group) {
                sort($group);
                foreach ($group as $at => $i) {
                    foreach (\array_slice($group, $at + 1) as $j) {
                        $before = $met[$i][$j] ?? 0;
                        $repeats += $weighted ? $before : min(1, $before);
                        $met[$i][$j] = $before + 1;
                    }
                }
            }
        }

        return $repeats;
    }

    /**
     * The larger of two: by how many meetings there are, and by how many of a group come together in any two rounds.
     */
    public function lowerBound(Setting $setting, int $rounds): float
    {
        return max(
            self::byMeetings($setting, $rounds),
            (($rounds * ($rounds - 1)) / 2) * self::togetherAgain($setting),
        );
    }

    /**
     * Of the g groups of one round each is spread over the g groups of another; where it has more than g members some
     * of them are together again, at least so many pairs.
     */
    private static function togetherAgain(Setting $setting): int
    {
        $groups = \count(array_filter($setting->sizes, static fn (int $size): bool => $size > 0));
        $pairs = 0;
        foreach ($setting->sizes as $size) {
            [$each, $left] = [intdiv($size, max(1, $groups)), $size % max(1, $groups)];
            $pairs += intdiv($groups * $each * ($each - 1), 2) + $left * $each;
        }

        return $pairs;
    }

    /**
     * So many meetings have to happen; at best each goes to the pair it costs least. A pair's meetings cost its
     * history, then one more each time.
     */
    private static function byMeetings(Setting $setting, int $rounds): float
    {
        $meetings =
            $rounds *
            (int) array_sum(array_map(static fn (int $size): int => intdiv($size * ($size - 1), 2), $setting->sizes));
        $fresh = intdiv($setting->n * ($setting->n - 1), 2);
        $old = [];
        foreach ($setting->met() as $i => $others) {
            foreach ($others as $j => $weight) {
                if ($i < $j) {
                    $old[] = $weight;
                }
            }
        }
        $fresh -= \count($old);
        $costs = array_count_values(array_map(static fn (float $weight): string => (string) $weight, $old));
        $costs['0'] = ($costs['0'] ?? 0) + $fresh;
        $steps = [];
        foreach ($costs as $weight => $pairs) {
            for ($time = 0; $time < $rounds; ++$time) {
                $steps[] = [(float) $weight + $time, $pairs];
            }
        }
        sort($steps);
        $bound = 0.0;
        foreach ($steps as [$cost, $pairs]) {
            $bound += $cost * min($pairs, $meetings);
            $meetings -= min($pairs, $meetings);
        }

        return $bound;
    }

    /**
     * The share of pairs sitting together who are new to each other: full where all are.
     */
    public function degree(Setting $setting, array $groups): Degree
    {
        $met = $setting->met();
        $pairs = $new = 0;
        foreach ($groups as $group) {
            foreach ($group as $at => $i) {
                foreach (\array_slice($group, $at + 1) as $j) {
                    ++$pairs;
                    $new += 0.0 === ($met[$i][$j] ?? 0.0) ? 1 : 0;
                }
            }
        }

        return Degree::counted(DegreeUnit::Pairs, $new, $pairs);
    }

    public function tallies(Setting $setting, int $rounds): array
    {
        $meetings = new Meetings($setting->met());

        return array_map(static fn (): PartnersTally => new PartnersTally($meetings), range(1, $rounds));
    }

    public function obstacle(Setting $setting, array $groups, NameList $named): ?Message
    {
        $met = $setting->met();
        $pairs = [];
        foreach ($groups as $group) {
            foreach ($group as $at => $i) {
                foreach (\array_slice($group, $at + 1) as $j) {
                    if (($met[$i][$j] ?? 0.0) > 0.0) {
                        $pairs[] = [
                            $met[$i][$j],
                            new Message('grouping.pair', [
                                'one' => $named->student($i),
                                'other' => $named->student($j),
                            ]),
                        ];
                    }
                }
            }
        }
        usort($pairs, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return [] === $pairs
            ? null
            : new Message('grouping.obstacle.new_partners', ['pairs' => NameList::some(array_column($pairs, 1))]);
    }

    public function summary(Setting $setting, array $groups, NameList $named): null
    {
        return null;
    }

    public function reason(Setting $setting, int $student, array $group, NameList $named): Message
    {
        $met = $setting->met()[$student] ?? [];
        $old = array_filter($group, static fn (int $i): bool => $i !== $student && ($met[$i] ?? 0.0) > 0.0);

        return [] === $old
            ? new Message('grouping.reason.new_partners')
            : new Message('grouping.reason.old_partners', ['students' => $named->students($old)]);
    }

    public static function read(Node $item, GoalContext $reading, float $weight): self
    {
        return new self($weight);
    }
}
