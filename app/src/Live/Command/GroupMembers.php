<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;

/**
 * Who sits in a group now.
 */
final readonly class GroupMembers
{
    public function __construct(
        private FloorStore $floors,
    ) {
    }

    /**
     * @return list<string> who sits at a table
     */
    public function inGroup(Round $round, string $groupId): array
    {
        foreach ($this->floors->now($round->grouping->id)->groups as $group) {
            if ($group->id === $groupId) {
                return $group->students;
            }
        }

        return [];
    }
}
