<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Rule;

use FreshHuddle\Core\Grouping\Format\ConditionReader;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Search\MustsBuilder;
use FreshHuddle\Core\Message;

/**
 * This student not in this group.
 */
final readonly class NotIn implements Rule
{
    /**
     * @param int $group from 1
     */
    public function __construct(public string $student, public int $group)
    {
    }

    public function students(): array
    {
        return [$this->student];
    }

    public function among(array $present): ?self
    {
        return isset($present[$this->student]) ? $this : null;
    }

    public function applyTo(MustsBuilder $musts): void
    {
        $musts->notIn($this->student, $this->group - 1);
    }

    public function isKeptIn(array $group, int $number, array $seated): bool
    {
        return !\in_array($this->student, $group, true) || $this->group !== $number;
    }

    public function inWords(callable $name): Message
    {
        return new Message('grouping.rule.not_in', ['student' => $name($this->student), 'group' => $this->group]);
    }

    public function reason(string $student, array $group, callable $name): null
    {
        return null;
    }

    public static function read(Node $item, ConditionReader $reading): self
    {
        return new self($reading->id($item->child('student')), $reading->group($item->child('group')));
    }
}
