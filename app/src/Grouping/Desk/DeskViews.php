<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Grouping\History\UseView;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\App\Grouping\Proposal\Why\Judge;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Grouping\SignUp\SignUps;
use FreshHuddle\App\Grouping\Variant\Variants;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;

/**
 * Reads the grouping desk for the screen.
 */
final readonly class DeskViews
{
    public function __construct(
        private FloorChanges $changes,
        private FloorStore $floors,
        private Judge $judge,
        private DeskNotes $notes,
        private Numbers $numbers,
        private GroupingUsage $list,
        private ClassReader $classes,
        private SignUps $signUps,
        private Variants $variants,
        private Clock $clock,
        private ClassParts $parts,
    ) {
    }

    public function view(Grouping $grouping): DeskView
    {
        $class = $this->classes->view($grouping->class);
        $floor = $this->floors->now($grouping->id);
        $settings = $this->notes->settings($grouping->id);

        $uses = $this->list->uses($class->id);
        $met = self::met($floor, $uses);

        return new DeskView(
            $grouping->id,
            $grouping->name,
            $class->id,
            $class->name,
            $class->doorWord,
            $this->list->lessonOf($grouping->id),
            $this->changes->view($grouping, $floor),
            array_map(
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
            ),
            $class->attributes,
            $class->tags,
            $class->rules,
            $settings,
            $this->numbers->forGrouping($grouping),
            $this->judge->standings($grouping, $floor, $settings),
            $this->variants->forGrouping($grouping, $settings),
            array_map(static fn (GroupingUse $use): UseView => new UseView($use->name, $use->lesson, $use->at), $uses),
            $this->list->otherLessons($grouping->id, null, $this->clock->ms()),
            $grouping->class->groupNames,
            $this->signUps->state($grouping->id),
            $this->clock->ms(),
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
