<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Format;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Problem\Disturbance;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\RuleKind;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Remainder;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Shape\Sizes;
use FreshHuddle\Core\Grouping\Student;

/**
 * Reads a problem file (docs/formats/grouping-problem.schema.json). Members it does not know are passed over.
 */
final class ProblemReader
{
    public const MAX_BYTES = 2_000_000;
    private const MAX_STUDENTS = ConditionReader::MAX_STUDENTS;
    private const MAX_DEPTH = 12;
    private const MAX_RULES = 2_000;
    private const MAX_GOALS = 50;
    private const MAX_HISTORY = 200;
    private const MAX_ROUNDS = 60;
    private const MAX_TOPICS = 50;
    private const MAX_MS = 600_000;
    private const MAX_WEIGHT = 1_000_000;
    private const LONGEST_ID = ConditionReader::LONGEST_ID;
    private const LONGEST_NAME = ConditionReader::LONGEST_NAME;
    private const LONGEST_KIND = 40;

    /**
     * @throws UnusableProblem with the path in the file and what is wrong there
     */
    public function read(string $json): Problem
    {
        if (\strlen($json) > self::MAX_BYTES) {
            throw new UnusableProblem(
                '',
                \sprintf('the file has %d bytes; at most %d are read', \strlen($json), self::MAX_BYTES),
            );
        }
        try {
            $data = json_decode($json, false, self::MAX_DEPTH, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw new UnusableProblem('', 'the file is no JSON that can be read: '.$e->getMessage());
        }
        $root = new Node($data);
        if ('fresh-huddle/grouping-problem' !== ($root->object()['format'] ?? null)) {
            throw $root->child('format')->wrong('has to be "fresh-huddle/grouping-problem"');
        }
        $root->child('version')->int(1, 1);

        return $this->problem($root);
    }

    private function problem(Node $root): Problem
    {
        $students = $this->students($root->child('students'));
        $everybody = new ConditionReader($students, 0);
        $method = $root->child('method')->oneOf(MethodKind::class, MethodKind::Balance);
        $rounds = $root->child('rounds')->int(1, self::MAX_ROUNDS, 1);
        $within = MethodKind::Split === $method ? $this->within($root->child('within'), $everybody) : [];
        $shape = $method->needsShape()
            ? $this->shape($root->child('shape'), [] === $within ? \count($students) : min(array_map('count', $within)))
            : null;
        $disturbance = MethodKind::Repair === $method ? $this->disturbance($root, $everybody) : null;
        $groups = match (true) {
            null !== $disturbance => $disturbance->current,
            [] !== $within => array_merge(
                ...array_map(static fn (array $group): array => $shape?->sizes(\count($group)) ?? [], $within),
            ),
            default => $shape?->sizes(\count($students)) ?? [],
        };

        $reading = new ConditionReader(
            $students,
            MethodKind::ByTable === $method ? self::MAX_STUDENTS : \count($groups),
        );

        return new Problem(
            $students,
            $shape,
            $method,
            $rounds,
            self::rules($root->child('rules'), $reading),
            self::goals($root->child('goals'), $reading),
            $this->history($root->child('history')),
            $root->child('seed')->int(\PHP_INT_MIN, \PHP_INT_MAX, 0),
            $root->child('timeLimitMs')->int(1, self::MAX_MS, 1_000),
            MethodKind::Jigsaw === $method ? $this->topics($root->child('topics')) : [],
            $disturbance,
            $within,
        );
    }

    /**
     * @return list<Student>
     */
    private function students(Node $node): array
    {
        $students = [];
        $ids = [];
        foreach ($node->isMissing() ? throw $node->wrong('is missing') : $node->items(self::MAX_STUDENTS) as $item) {
            $id = $item->child('id')->text(self::LONGEST_ID);
            if (isset($ids[$id])) {
                throw $item->child('id')->wrong(\sprintf('"%s" is used twice', $id));
            }
            $ids[$id] = true;
            $attributes = [];
            foreach (
                $item->child('attributes')->isMissing() ? [] : $item->child('attributes')->members() as $name => $value
            ) {
                $attributes[(string) $name] = $value->attribute(self::LONGEST_NAME);
            }
            $students[] = new Student(
                $id,
                $item->child('name')->isMissing() ? '' : $item->child('name')->text(self::LONGEST_NAME, true),
                $item->child('table')->isMissing()
                    ? null
                    : (string) $item->child('table')->attribute(self::LONGEST_NAME),
                $attributes,
                $this->texts($item->child('tags'), 200),
            );
        }

        return $students;
    }

    private function shape(Node $node, int $students): Shape
    {
        if ($node->isMissing()) {
            throw $node->wrong('is missing');
        }
        try {
            $shape = match (true) {
                !$node->child('groups')->isMissing() => new Groups($node->child('groups')->int(1, self::MAX_STUDENTS)),
                !$node->child('size')->isMissing() => new Size(
                    $node->child('size')->int(1, self::MAX_STUDENTS),
                    $node->child('remainder')->oneOf(Remainder::class, Remainder::Spread),
                ),
                !$node->child('sizes')->isMissing() => $this->sizes($node->child('sizes')),
                default => throw $node->wrong('needs "groups", "size" or "sizes"'),
            };
            $shape->sizes($students);
        } catch (ImpossibleShape) {
            throw $node->wrong(\sprintf('does not fit %d students', $students));
        }

        return $shape;
    }

    private function sizes(Node $node): Sizes
    {
        $sizes = array_map(
            static fn (Node $size): int => $size->int(1, self::MAX_STUDENTS),
            $node->items(self::MAX_STUDENTS, 1),
        );
        \assert([] !== $sizes, 'At least one was asked for.');

        return new Sizes($sizes);
    }

    /**
     * @return list<Rule>
     */
    private static function rules(Node $node, ConditionReader $reading): array
    {
        return $node->isMissing()
            ? []
            : array_map(
                static fn (Node $item): Rule => self::kind($item->child('kind'), RuleKind::class)->read($item, $reading),
                $node->items(self::MAX_RULES),
            );
    }

    /**
     * @return list<Goal>
     */
    private static function goals(Node $node, ConditionReader $reading): array
    {
        return $node->isMissing()
            ? []
            : array_map(
                static fn (Node $item): Goal => self::kind($item->child('kind'), GoalKind::class)->read(
                    $item,
                    $reading,
                    $item->child('weight')->number(0.0, self::MAX_WEIGHT, 1.0),
                ),
                $node->items(self::MAX_GOALS),
            );
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $kinds
     *
     * @return T
     */
    private static function kind(Node $node, string $kinds): \BackedEnum
    {
        $node->text(self::LONGEST_KIND);

        return $node->oneOf($kinds);
    }

    /**
     * @return list<list<list<string>>>
     */
    private function history(Node $node): array
    {
        $history = [];
        foreach ($node->isMissing() ? [] : $node->items(self::MAX_HISTORY) as $grouping) {
            $groups = [];
            foreach ($grouping->items(self::MAX_STUDENTS) as $group) {
                $groups[] = array_map(
                    static fn (Node $id): string => $id->text(self::LONGEST_ID),
                    $group->items(self::MAX_STUDENTS),
                );
            }
            $history[] = $groups;
        }

        return $history;
    }

    /**
     * @return list<string>
     */
    private function topics(Node $node): array
    {
        if ($node->isMissing()) {
            throw $node->wrong('is missing');
        }
        $topics = [];
        foreach ($node->items(self::MAX_TOPICS, 1) as $item) {
            $topic = $item->text(self::LONGEST_NAME);
            if (\in_array($topic, $topics, true)) {
                throw $item->wrong(\sprintf('"%s" is used twice', $topic));
            }
            $topics[] = $topic;
        }

        return $topics;
    }

    /**
     * @return list<list<string>> at least one, none of them empty
     */
    private function within(Node $node, ConditionReader $reading): array
    {
        if ($node->isMissing()) {
            throw $node->wrong('is missing');
        }
        $seen = [];

        return array_map(static function (Node $group) use (&$seen, $reading): array {
            $ids = [];
            foreach ($group->items(self::MAX_STUDENTS, 1) as $item) {
                $id = $reading->id($item);
                if (isset($seen[$id])) {
                    throw $item->wrong(\sprintf('"%s" has a group already', $id));
                }
                $seen[$id] = true;
                $ids[] = $id;
            }

            return $ids;
        }, $node->items(self::MAX_STUDENTS, 1));
    }

    private function disturbance(Node $root, ConditionReader $reading): Disturbance
    {
        $current = $root->child('current');
        if ($current->isMissing()) {
            throw $current->wrong('is missing');
        }
        $seen = [];
        $once = static function (Node $item) use (&$seen, $reading): string {
            $id = $reading->id($item);
            if (isset($seen[$id])) {
                throw $item->wrong(\sprintf('"%s" has a seat already', $id));
            }
            $seen[$id] = true;

            return $id;
        };
        $groups = array_map(
            static fn (Node $group): array => array_map($once, $group->items(self::MAX_STUDENTS)),
            $current->items(self::MAX_STUDENTS, 1),
        );
        $arrivals = $root->child('arrivals')->isMissing()
            ? []
            : array_map($once, $root->child('arrivals')->items(self::MAX_STUDENTS));
        $absent = $root->child('absent')->isMissing()
            ? []
            : array_map($reading->id(...), $root->child('absent')->items(self::MAX_STUDENTS));
        foreach ($arrivals as $i => $id) {
            if (\in_array($id, $absent, true)) {
                throw $root->child('arrivals')->items(self::MAX_STUDENTS)[$i]->wrong(\sprintf('"%s" is absent', $id));
            }
        }
        $minSize = $root->child('minSize')->int(1, self::MAX_STUDENTS, 2);

        return new Disturbance(
            $groups,
            $absent,
            $arrivals,
            $minSize,
            $root->child('maxSize')->isMissing() ? null : $root->child('maxSize')->int($minSize, self::MAX_STUDENTS),
        );
    }

    /**
     * @return list<string>
     */
    private function texts(Node $node, int $most): array
    {
        return $node->isMissing()
            ? []
            : array_map(static fn (Node $item): string => $item->text(self::LONGEST_NAME), $node->items($most));
    }
}
