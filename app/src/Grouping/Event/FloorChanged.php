<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Event;

use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;

/**
 * Seats, groups or their names changed on a floor.
 */
final readonly class FloorChanged
{
    /**
     * @param array<string, string> $split of which group a new one is a part, by id of the new one
     */
    public function __construct(
        public string $groupingId,
        public Floor $before,
        public Floor $after,
        public array $split = [],
    ) {
    }

    /**
     * @return list<string> ids of groups at new tables where somebody sits
     */
    public function newTables(): array
    {
        $before = array_column($this->before->groups, null, 'id');

        return array_values(
            array_map(
                static fn (Group $group): string => $group->id,
                array_filter(
                    $this->after->groups,
                    static fn (Group $group): bool => [] !== $group->students
                        && [] === ($before[$group->id]->students ?? []),
                ),
            ),
        );
    }

    /**
     * @return list<string> ids of students who had no seat before
     */
    public function newSeats(): array
    {
        return array_values(array_diff($this->after->seated(), $this->before->seated()));
    }
}
