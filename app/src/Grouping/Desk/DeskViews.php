<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Grouping\History\UseView;
use FreshHuddle\App\Grouping\Proposal\Why\Judge;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Grouping\SignUp\SignUps;
use FreshHuddle\App\Grouping\Variant\Variants;
use FreshHuddle\App\Roster\ClassReader;

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
        private ClassReader $classes,
        private SignUps $signUps,
        private Variants $variants,
        private Clock $clock,
        private DeskUsage $usage,
    ) {
    }

    public function view(Grouping $grouping): DeskView
    {
        $class = $this->classes->view($grouping->class);
        $floor = $this->floors->now($grouping->id);
        $settings = $this->notes->settings($grouping->id);

        $uses = $this->usage->uses($grouping);

        return new DeskView(
            $grouping->id,
            $grouping->name,
            $class->id,
            $class->name,
            $class->doorWord,
            $this->usage->lesson($grouping),
            $this->changes->view($grouping, $floor),
            $this->usage->students($grouping, $floor, $uses),
            $class->attributes,
            $class->tags,
            $class->rules,
            $settings,
            $this->numbers->forGrouping($grouping),
            $this->judge->standings($grouping, $floor, $settings),
            $this->variants->forGrouping($grouping, $settings),
            array_map(static fn (GroupingUse $use): UseView => new UseView($use->name, $use->lesson, $use->at), $uses),
            $this->usage->otherLessons($grouping),
            $grouping->class->groupNames,
            $this->signUps->state($grouping->id),
            $this->clock->ms(),
        );
    }
}
