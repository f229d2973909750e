<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use FreshHuddle\Core\Grouping\Floor;

/**
 * The groups and who sits where, as a page shows them.
 */
final readonly class FloorView
{
    /**
     * @param int             $step   the state of the floor; send it back with each change
     * @param string|null     $undo   what undo would undo; null: nothing
     * @param string|null     $redo   what redo would do again; null: nothing
     * @param list<GroupView> $groups
     * @param list<string>    $fixed  ids of students who stay when the rest is dealt again
     */
    private function __construct(
        public string $id,
        public string $name,
        public int $step,
        public ?string $undo,
        public ?string $redo,
        public array $groups,
        public array $fixed,
    ) {
    }

    /**
     * @param array{step: int, undo: string|null, redo: string|null} $steps
     * @param list<string>                                           $onList ids of the students on the class list
     */
    public static function fromFloor(string $id, string $name, array $steps, Floor $floor, array $onList): self
    {
        $groups = [];
        foreach ($floor->groups as $i => $group) {
            $groups[] = new GroupView(
                $group->id,
                $group->name,
                $i + 1,
                $group->mark,
                array_values(array_intersect($group->students, $onList)),
            );
        }

        return new self(
            $id,
            $name,
            $steps['step'],
            $steps['undo'],
            $steps['redo'],
            $groups,
            array_values(array_intersect($floor->fixed, $onList)),
        );
    }
}
