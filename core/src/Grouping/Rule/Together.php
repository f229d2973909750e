<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Rule;

use FreshHuddle\Core\Grouping\Format\ConditionReader;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Search\MustsBuilder;
use FreshHuddle\Core\Message;

/**
 * All of these in one group.
 */
final readonly class Together implements Rule
{
    /**
     * @param list<string> $students at least two ids, each once
     */
    public function __construct(public array $students)
    {
    }

    public function students(): array
    {
        return $this->students;
    }

    public function among(array $present): ?self
    {
        $left = array_values(array_filter($this->students, static fn (string $id): bool => isset($present[$id])));

        return \count($left) < 2 ? null : new self($left);
    }

    public function applyTo(MustsBuilder $musts): void
    {
        $musts->together($this->students);
    }

    public function isKeptIn(array $group, int $number, array $seated): bool
    {
        $there = \count(array_intersect($this->students, $group));

        return 0 === $there || $there === \count(array_intersect($this->students, $seated));
    }

    public function inWords(callable $name): Message
    {
        return new Message('grouping.rule.together', ['students' => array_map($name, $this->students)]);
    }

    public function reason(string $student, array $group, callable $name): ?Message
    {
        return \count(array_intersect($this->students, $group)) > 1
            ? new Message('grouping.reason.together', [
                'students' => array_map($name, array_values(array_diff($this->students, [$student]))),
            ])
            : null;
    }

    public static function read(Node $item, ConditionReader $reading): self
    {
        return new self($reading->several($item->child('students')));
    }
}
