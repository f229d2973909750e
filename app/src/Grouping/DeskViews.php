<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\StudentView;

/**
 * Reads the grouping desk for the screen.
 */
final readonly class DeskViews
{
    public function __construct(
        private GroupingDesk $desk,
        private FloorStore $floors,
        private Arranger $arranger,
        private DeskNotes $notes,
        private GroupingUsage $list,
        private ClassReader $classes,
        private SignUps $signUps,
        private Variants $variants,
        private Clock $clock,
    ) {
    }

    public function view(Grouping $grouping): DeskView
    {
        $class = $this->classes->one($grouping->class);
        $floor = $this->floors->now($grouping->id);
        $settings = $this->notes->settings($grouping->id);

        return new DeskView(
            $grouping->id,
            $grouping->name,
            $class->id,
            $class->name,
            $class->doorWord,
            $this->list->lessonOf($grouping->id),
            $this->desk->view($grouping, $floor),
            array_map(
                static fn (StudentView $student): DeskStudent => new DeskStudent($student->id, $student->name, $student->absent, $student->table, $student->attributes, $student->tags),
                array_values(array_filter($class->students, static fn (StudentView $student): bool => $student->seatable)),
            ),
            $class->attributes,
            $class->tags,
            $class->rules,
            $settings,
            $this->notes->numbers($grouping->id),
            $this->arranger->standings($grouping, $floor, $settings),
            $this->variants->of($grouping, $settings),
            array_map(static fn (GroupingUse $use): UseView => new UseView($use->name, $use->lesson, $use->at), $this->list->uses($class->id)),
            $grouping->class->groupNames,
            $this->signUps->state($grouping->id),
            $this->clock->ms(),
        );
    }
}
