<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Roster\Rule\RuleView;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Student;

/**
 * A floor in the numbers of the computation: students who are here and seated, empty tables included.
 */
final readonly class FloorInNumbers
{
    /**
     * @param list<list<int>> $groups one a table
     * @param list<RuleView>  $rules  those about at least two of them
     * @param list<Group>     $tables
     */
    private function __construct(
        public Setting $setting,
        public array $groups,
        public array $rules,
        public array $tables,
    ) {
    }

    /**
     * @param StudentView|null $also somebody who counts though they have no seat
     */
    public static function fromFloor(
        ClassParts $parts,
        Grouping $grouping,
        Floor $floor,
        ?StudentView $also = null,
    ): self {
        $seated = array_fill_keys($floor->seated(), true);
        $present = ClassParts::students(
            array_values(
                array_filter(
                    $parts->present($grouping),
                    static fn (StudentView $student): bool => isset($seated[$student->id])
                        || $student->id === $also?->id,
                ),
            ),
        );
        $ids = array_fill_keys(array_map(static fn (Student $student): string => $student->id, $present), true);
        $groups = array_map(
            static fn (Group $group): array => array_values(
                array_filter($group->students, static fn (string $id): bool => isset($ids[$id])),
            ),
            $floor->groups,
        );
        $setting = new Setting($present, self::sizes($groups), $parts->history($grouping));

        return new self(
            $setting,
            array_map($setting->numbersOf(...), $groups),
            array_values(
                array_filter(
                    $parts->rules($grouping),
                    static fn (RuleView $rule): bool => \count(array_intersect($rule->students, array_keys($ids))) > 1,
                ),
            ),
            $floor->groups,
        );
    }

    /**
     * @return list<string> of the tables
     */
    public function names(): array
    {
        return array_map(static fn (Group $table): string => $table->name, $this->tables);
    }

    /**
     * @param list<list<string>> $groups
     *
     * @return list<int> larger first
     */
    public static function sizes(array $groups): array
    {
        $sizes = array_map('count', $groups);
        rsort($sizes);

        return $sizes;
    }
}
