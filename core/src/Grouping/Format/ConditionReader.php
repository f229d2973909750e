<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Format;

use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Student;

/**
 * Reads rules and goals of a problem file for the class of the file.
 */
final readonly class ConditionReader implements GoalContext
{
    public const MAX_STUDENTS = 2_000;
    public const LONGEST_ID = 100;
    public const LONGEST_NAME = 300;

    /** @var array<string, true> */
    private array $ids;

    /**
     * @param list<Student> $students
     * @param int           $groups   how many there are
     */
    public function __construct(private array $students, private int $groups)
    {
        $this->ids = array_fill_keys(array_map(static fn (Student $student): string => $student->id, $students), true);
    }

    public function name(Node $node): string
    {
        return $node->text(self::LONGEST_NAME);
    }

    public function valuesName(Node $node): string
    {
        $attribute = $this->name($node);
        $numbers = $others = 0;
        foreach ($this->students as $student) {
            $value = $student->attributes[$attribute] ?? null;
            $numbers += \is_int($value) || \is_float($value) ? 1 : 0;
            $others += \is_string($value) ? 1 : 0;
        }
        if ($numbers > 0 && 0 === $others) {
            throw $node->wrong(\sprintf('"%s" is a number; nobody is alone with a number', $attribute));
        }

        return $attribute;
    }

    public function wishes(Node $node): array
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
     * @return list<string> at least two ids, each once
     *
     * @throws UnusableProblem
     */
    public function several(Node $node): array
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

    /**
     * @throws UnusableProblem
     */
    public function id(Node $node): string
    {
        $id = $node->text(self::LONGEST_ID);

        return isset($this->ids[$id]) ? $id : throw $node->wrong(\sprintf('"%s" is no student of this file', $id));
    }

    /**
     * @return int from 1
     *
     * @throws UnusableProblem
     */
    public function group(Node $node): int
    {
        return $node->int(1, max(1, $this->groups));
    }
}
