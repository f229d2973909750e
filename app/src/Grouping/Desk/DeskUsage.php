<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Grouping\History\OtherUse;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;

/**
 * What the grouping desk shows of lessons: the one it is for, others, and who has met whom before.
 */
final readonly class DeskUsage
{
    public function __construct(private GroupingUsage $usage, private ClassParts $parts, private Clock $clock)
    {
    }

    /**
     * @return list<GroupingUse> groups the class has been in, the latest last
     */
    public function uses(Grouping $grouping): array
    {
        return $this->usage->uses($grouping->class->id);
    }

    /**
     * @return string|null the lesson these groups are for; null where none uses them
     */
    public function lesson(Grouping $grouping): ?string
    {
        return $this->usage->lessonOf($grouping->id);
    }

    /**
     * @return list<OtherUse> lessons that have sent these groups out, the latest first
     */
    public function otherLessons(Grouping $grouping): array
    {
        return $this->usage->otherLessons($grouping->id, null, $this->clock->ms());
    }

    /**
     * @param list<GroupingUse> $uses
     *
     * @return list<DeskStudent> who can be seated, each with how many at the same table they have sat with before
     */
    public function students(Grouping $grouping, Floor $floor, array $uses): array
    {
        $met = self::met($floor, $uses);

        return array_map(
            static fn (StudentView $student): DeskStudent => new DeskStudent(
                $student->id,
                $student->name,
                $student->absent,
                $student->table,
                $student->attributes,
                $student->tags,
                $met[$student->id] ?? 0,
            ),
            $this->parts->seatable($grouping),
        );
    }

    /**
     * @param list<GroupingUse> $uses
     *
     * @return array<string, int> by student: how many at the same table they have sat with before
     */
    private static function met(Floor $floor, array $uses): array
    {
        $partners = [];
        foreach ($uses as $use) {
            foreach ($use->groups as $group) {
                foreach ($group as $student) {
                    $partners[$student] = ($partners[$student] ?? []) + array_fill_keys($group, true);
                }
            }
        }
        $met = [];
        foreach ($floor->groups as $group) {
            foreach ($group->students as $student) {
                $met[$student] = \count(
                    array_intersect_key(
                        $partners[$student] ?? [],
                        array_fill_keys(array_diff($group->students, [$student]), true),
                    ),
                );
            }
        }

        return $met;
    }
}
