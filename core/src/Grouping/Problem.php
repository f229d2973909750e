<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Problem\Disturbance;

/**
 * Who is to be put into groups, how, and what has to hold. Read from a file by ProblemReader; see
 * docs/formats/grouping-problem.schema.json.
 */
final readonly class Problem
{
    /**
     * @param list<Student>            $students    each id once
     * @param Shape|null               $shape       null where the method needs none (by table, repair)
     * @param int                      $rounds      1 or more: so many groupings in sequence
     * @param list<Rule>               $rules       hold in every round
     * @param list<Goal>               $goals
     * @param list<list<list<string>>> $history groupings used before, the latest last; ids that are not in `students`
     *     are passed over
     * @param int                      $timeLimitMs how long the search may take
     * @param list<string>             $topics      for the jigsaw
     * @param Disturbance|null         $disturbance for repair
     * @param list<list<string>>       $within for split: groups that are there, of whom nobody leaves theirs; each id
     *     at most once
     */
    public function __construct(
        public array $students,
        public ?Shape $shape,
        public MethodKind $method = MethodKind::Balance,
        public int $rounds = 1,
        public array $rules = [],
        public array $goals = [],
        public array $history = [],
        public int $seed = 0,
        public int $timeLimitMs = 1_000,
        public array $topics = [],
        public ?Disturbance $disturbance = null,
        public array $within = [],
    ) {
    }

    /**
     * The same students, shape, rules, goals and history, for one balanced round.
     */
    public function balancedOnce(): self
    {
        return new self(
            $this->students,
            $this->shape,
            MethodKind::Balance,
            1,
            $this->rules,
            $this->goals,
            $this->history,
            $this->seed,
            $this->timeLimitMs,
        );
    }

    /**
     * @return array<string, string> id => name
     */
    public function labels(): array
    {
        $labels = [];
        foreach ($this->students as $student) {
            $labels[$student->id] = $student->label();
        }

        return $labels;
    }
}
