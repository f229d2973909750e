<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

/**
 * What a method found. See docs/formats/grouping-result.schema.json.
 */
final readonly class Result
{
    /**
     * @param list<list<list<string>>> $rounds    groups of ids, a list a round; none where the rules cannot all be kept
     * @param list<string>             $unplaced  ids of those without a group
     * @param list<GoalReport>         $goals     a report a goal, in the order of the problem
     * @param float                    $cost      Σ weight × cost over goals and rounds; 0 is perfect
     * @param bool                     $proven    the cost is known to be the least possible
     * @param int                      $repeats   how often a pair meets that has met before in these rounds
     * @param list<Conflict>           $conflicts
     * @param list<Move>               $moves     for repair: who changes groups
     * @param list<list<string>>       $topics for the jigsaw: the topic of each group, a list a round; '' for a home
     *     group
     * @param array<int, list<string>> $lacking   for the jigsaw: number of a home group => topics nobody there has
     */
    public function __construct(
        public int $seed,
        public array $rounds = [],
        public array $unplaced = [],
        public array $goals = [],
        public float $cost = 0.0,
        public bool $proven = false,
        public int $repeats = 0,
        public array $conflicts = [],
        public array $moves = [],
        public array $topics = [],
        public array $lacking = [],
    ) {
    }

    /**
     * The same with some things said differently; null leaves them.
     *
     * @param list<list<list<string>>>|null $rounds
     * @param list<string>|null             $unplaced
     * @param list<Conflict>|null           $conflicts
     * @param list<Move>|null               $moves
     * @param list<list<string>>|null       $topics
     * @param array<int, list<string>>|null $lacking
     */
    public function with(
        ?array $rounds = null,
        ?array $unplaced = null,
        ?array $conflicts = null,
        ?array $moves = null,
        ?array $topics = null,
        ?array $lacking = null,
    ): self {
        return new self(
            $this->seed,
            $rounds ?? $this->rounds,
            $unplaced ?? $this->unplaced,
            $this->goals,
            $this->cost,
            $this->proven,
            $this->repeats,
            $conflicts ?? $this->conflicts,
            $moves ?? $this->moves,
            $topics ?? $this->topics,
            $lacking ?? $this->lacking,
        );
    }

    public function keepsAllRules(): bool
    {
        return [] === $this->conflicts;
    }
}
