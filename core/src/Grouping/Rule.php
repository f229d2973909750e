<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Format\ConditionReader;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Search\MustsBuilder;
use FreshHuddle\Core\Message;

/**
 * A must: it holds in every arrangement that is handed out, in every round.
 */
interface Rule
{
    /**
     * @return list<string> ids of the students it speaks of
     */
    public function students(): array;

    /**
     * The same rule for those who are here; null where nothing is left of it.
     *
     * @param array<string, true> $present ids
     */
    public function among(array $present): ?self;

    public function applyTo(MustsBuilder $musts): void;

    /**
     * Whether this group leaves it kept, as far as one group can say.
     *
     * @param list<string> $group  ids
     * @param int          $number of the group, from 1
     * @param list<string> $seated ids of all who sit anywhere
     */
    public function isKeptIn(array $group, int $number, array $seated): bool;

    /**
     * The rule as a teacher would say it: “Ada and Ben apart”.
     *
     * @param callable(string): string $name the name of a student
     */
    public function inWords(callable $name): Message;

    /**
     * Why somebody sits where they sit, if it is because of this rule.
     *
     * @param string                   $student one it speaks of
     * @param list<string>             $group   ids of the group they sit in
     * @param callable(string): string $name    the name of a student
     */
    public function reason(string $student, array $group, callable $name): ?Message;

    /**
     * @throws UnusableProblem
     */
    public static function read(Node $item, ConditionReader $reading): self;
}
