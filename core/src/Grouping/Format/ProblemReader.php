<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Format;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\Alike;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Problem\Disturbance;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\NotIn;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
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
    public const MAX_STUDENTS = 2_000;
    private const MAX_DEPTH = 12;
    private const MAX_RULES = 2_000;
    private const MAX_GOALS = 50;
    private const MAX_HISTORY = 200;
    private const MAX_ROUNDS = 60;
    private const MAX_TOPICS = 50;
    private const MAX_MS = 600_000;
    private const MAX_WEIGHT = 1_000_000;
    private const LONGEST_ID = 100;
    private const LONGEST_NAME = 300;

    /** @var array<string, true> */
    private array $ids = [];

    /**
     * @throws UnusableProblem with the path in the file and what is wrong there
     */
    public function read(string $json): Problem
    {
        if (\strlen($json) > self::MAX_BYTES) {
            throw new UnusableProblem('', \sprintf('the file has %d bytes; at most %d are read', \strlen($json), self::MAX_BYTES));
        }
        try {
            $data = json_decode($json, false, self::MAX_DEPTH, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw new UnusableProblem('', 'the file is no JSON that can be read: '.$e->getMessage());
        }
        $root = new Node($data);
        if ('fresh-huddle/grouping-problem' !== ($root->object()['format'] ?? null)) {
            throw $root->at('format')->wrong('has to be "fresh-huddle/grouping-problem"');
        }
        $root->at('version')->int(1, 1);

        return $this->problem($root);
    }

    private function problem(Node $root): Problem
    {
        $students = $this->students($root->at('students'));
        $method = $root->at('method')->oneOf(MethodKind::class, MethodKind::Balance);
        $rounds = $root->at('rounds')->int(1, self::MAX_ROUNDS, 1);
        $within = MethodKind::Split === $method ? $this->within($root->at('within')) : [];
        $shape = $method->needsShape() ? $this->shape($root->at('shape'), [] === $within ? \count($students) : min(array_map('count', $within))) : null;
        $disturbance = MethodKind::Repair === $method ? $this->disturbance($root) : null;
        $groups = match (true) {
            null !== $disturbance => $disturbance->current,
            [] !== $within => array_merge(...array_map(static fn (array $group): array => $shape?->sizes(\count($group)) ?? [], $within)),
            default => $shape?->sizes(\count($students)) ?? [],
        };

        return new Problem(
            $students,
            $shape,
            $method,
            $rounds,
            $this->rules($root->at('rules'), MethodKind::ByTable === $method ? self::MAX_STUDENTS : \count($groups)),
            $this->goals($root->at('goals'), $students),
            $this->history($root->at('history')),
            $root->at('seed')->int(\PHP_INT_MIN, \PHP_INT_MAX, 0),
            $root->at('timeLimitMs')->int(1, self::MAX_MS, 1_000),
            MethodKind::Jigsaw === $method ? $this->topics($root->at('topics')) : [],
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
        $this->ids = [];
        foreach ($node->isMissing() ? throw $node->wrong('is missing') : $node->items(self::MAX_STUDENTS) as $item) {
            $id = $item->at('id')->text(self::LONGEST_ID);
            if (isset($this->ids[$id])) {
                throw $item->at('id')->wrong(\sprintf('"%s" is used twice', $id));
            }
            $this->ids[$id] = true;
            $attributes = [];
            foreach ($item->at('attributes')->isMissing() ? [] : $item->at('attributes')->members() as $name => $value) {
                $attributes[(string) $name] = $value->attribute(self::LONGEST_NAME);
            }
            $students[] = new Student(
                $id,
                $item->at('name')->isMissing() ? '' : $item->at('name')->text(self::LONGEST_NAME, true),
                $item->at('table')->isMissing() ? null : (string) $item->at('table')->attribute(self::LONGEST_NAME),
                $attributes,
                $this->texts($item->at('tags'), 200),
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
                !$node->at('groups')->isMissing() => new Groups($node->at('groups')->int(1, self::MAX_STUDENTS)),
                !$node->at('size')->isMissing() => new Size($node->at('size')->int(1, self::MAX_STUDENTS), $node->at('remainder')->oneOf(Remainder::class, Remainder::Spread)),
                !$node->at('sizes')->isMissing() => $this->sizes($node->at('sizes')),
                default => throw $node->wrong('needs "groups", "size" or "sizes"'),
            };
            $shape->sizes($students);
        } catch (ImpossibleShape $e) {
            throw $node->wrong($e->getMessage());
        }

        return $shape;
    }

    private function sizes(Node $node): Sizes
    {
        $sizes = array_map(static fn (Node $size): int => $size->int(1, self::MAX_STUDENTS), $node->items(self::MAX_STUDENTS, 1));
        \assert([] !== $sizes, 'At least one was asked for.');

        return new Sizes($sizes);
    }

    /**
     * @return list<Rule>
     */
    private function rules(Node $node, int $groups): array
    {
        $rules = [];
        foreach ($node->isMissing() ? [] : $node->items(self::MAX_RULES) as $item) {
            $kind = $item->at('kind');
            $group = static fn (): int => $item->at('group')->int(1, max(1, $groups));
            $rules[] = match ($kind->text(40)) {
                'apart' => new Apart($this->several($item->at('students'))),
                'together' => new Together($this->several($item->at('students'))),
                'seat' => new Seat($this->id($item->at('student')), $group()),
                'notIn' => new NotIn($this->id($item->at('student')), $group()),
                default => throw $kind->wrong($kind->shown().'; it has to be one of apart, together, seat, notIn'),
            };
        }

        return $rules;
    }

    /**
     * @param list<Student> $students
     *
     * @return list<Goal>
     */
    private function goals(Node $node, array $students): array
    {
        $goals = [];
        foreach ($node->isMissing() ? [] : $node->items(self::MAX_GOALS) as $item) {
            $kind = $item->at('kind');
            $weight = $item->at('weight')->number(0.0, self::MAX_WEIGHT, 1.0);
            $attribute = static fn (): string => $item->at('attribute')->text(self::LONGEST_NAME);
            $goals[] = match ($kind->text(40)) {
                'spread' => new Spread($attribute(), $weight),
                'alike' => new Alike($attribute(), $weight),
                'eachHas' => new EachHas($item->at('tag')->text(self::LONGEST_NAME), $item->at('atLeast')->int(1, self::MAX_STUDENTS, 1), $weight),
                'notAlone' => new NotAlone($this->values($item->at('attribute'), $students), $weight),
                'newPartners' => new NewPartners($weight),
                'wishes' => new Wishes($this->wishes($item->at('wishes')), $weight),
                default => throw $kind->wrong($kind->shown().'; it has to be one of spread, alike, eachHas, notAlone, newPartners, wishes'),
            };
        }

        return $goals;
    }

    /**
     * The name of an attribute that is no number.
     *
     * @param list<Student> $students
     */
    private function values(Node $node, array $students): string
    {
        $attribute = $node->text(self::LONGEST_NAME);
        $numbers = $others = 0;
        foreach ($students as $student) {
            $value = $student->attributes[$attribute] ?? null;
            $numbers += \is_int($value) || \is_float($value) ? 1 : 0;
            $others += \is_string($value) ? 1 : 0;
        }
        if ($numbers > 0 && 0 === $others) {
            throw $node->wrong(\sprintf('"%s" is a number; nobody is alone with a number', $attribute));
        }

        return $attribute;
    }

    /**
     * @return array<string, list<string>>
     */
    private function wishes(Node $node): array
    {
        $wishes = [];
        foreach ($node->isMissing() ? throw $node->wrong('is missing') : $node->members() as $id => $wished) {
            $id = (string) $id;
            if (!isset($this->ids[$id])) {
                throw $wished->wrong('is no student of this file');
            }
            $wishes[$id] = array_map($this->id(...), $wished->items(self::MAX_STUDENTS));
        }

        return $wishes;
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
                $groups[] = array_map(static fn (Node $id): string => $id->text(self::LONGEST_ID), $group->items(self::MAX_STUDENTS));
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
    private function within(Node $node): array
    {
        if ($node->isMissing()) {
            throw $node->wrong('is missing');
        }
        $seen = [];

        return array_map(function (Node $group) use (&$seen): array {
            $ids = [];
            foreach ($group->items(self::MAX_STUDENTS, 1) as $item) {
                $id = $this->id($item);
                if (isset($seen[$id])) {
                    throw $item->wrong(\sprintf('"%s" has a group already', $id));
                }
                $seen[$id] = true;
                $ids[] = $id;
            }

            return $ids;
        }, $node->items(self::MAX_STUDENTS, 1));
    }

    private function disturbance(Node $root): Disturbance
    {
        $current = $root->at('current');
        if ($current->isMissing()) {
            throw $current->wrong('is missing');
        }
        $seen = [];
        $once = function (Node $item) use (&$seen): string {
            $id = $this->id($item);
            if (isset($seen[$id])) {
                throw $item->wrong(\sprintf('"%s" has a seat already', $id));
            }
            $seen[$id] = true;

            return $id;
        };
        $groups = array_map(static fn (Node $group): array => array_map($once, $group->items(self::MAX_STUDENTS)), $current->items(self::MAX_STUDENTS, 1));
        $arrivals = $root->at('arrivals')->isMissing() ? [] : array_map($once, $root->at('arrivals')->items(self::MAX_STUDENTS));
        $absent = $root->at('absent')->isMissing() ? [] : array_map($this->id(...), $root->at('absent')->items(self::MAX_STUDENTS));
        foreach ($arrivals as $i => $id) {
            if (\in_array($id, $absent, true)) {
                throw $root->at('arrivals')->items(self::MAX_STUDENTS)[$i]->wrong(\sprintf('"%s" is absent', $id));
            }
        }
        $minSize = $root->at('minSize')->int(1, self::MAX_STUDENTS, 2);

        return new Disturbance($groups, $absent, $arrivals, $minSize, $root->at('maxSize')->isMissing() ? null : $root->at('maxSize')->int($minSize, self::MAX_STUDENTS));
    }

    /**
     * @return list<string> at least two ids, each once
     */
    private function several(Node $node): array
    {
        if ($node->isMissing()) {
            throw $node->wrong('is missing');
        }
        $ids = [];
        foreach ($node->items(self::MAX_STUDENTS, 2) as $item) {
            $id = $this->id($item);
            if (\in_array($id, $ids, true)) {
                throw $item->wrong(\sprintf('"%s" is used twice', $id));
            }
            $ids[] = $id;
        }

        return $ids;
    }

    private function id(Node $node): string
    {
        $id = $node->text(self::LONGEST_ID);

        return isset($this->ids[$id]) ? $id : throw $node->wrong(\sprintf('"%s" is no student of this file', $id));
    }

    /**
     * @return list<string>
     */
    private function texts(Node $node, int $most): array
    {
        return $node->isMissing() ? [] : array_map(static fn (Node $item): string => $item->text(self::LONGEST_NAME), $node->items($most));
    }
}
