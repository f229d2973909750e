<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Rule;

use FreshHuddle\Core\Grouping\Format\ConditionReader;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Search\MustsBuilder;
use FreshHuddle\Core\Message;

/**
 * No two of these in one group.
 */
final readonly class Apart implements Rule
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
        $musts->apart($this->students);
    }

    public function isKeptIn(array $group, int $number, array $seated): bool
    {
        return \count(array_intersect($this->students, $group)) <= 1;
    }

    public function inWords(callable $name): Message
    {
        return new Message('grouping.rule.apart', ['students' => array_map($name, $this->students)]);
    }

    public function reason(string $student, array $group, callable $name): Message
    {
        return new Message('grouping.reason.apart', [
            'students' => array_map($name, array_values(array_diff($this->students, [$student]))),
        ]);
    }

    public static function read(Node $item, ConditionReader $reading): self
    {
        return new self($reading->several($item->child('students')));
    }
}
