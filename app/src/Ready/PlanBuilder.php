<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Desk\ShapeKind;
use FreshHuddle\App\Grouping\Proposal\Why\Judge;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Lesson\Order\RunningOrderView;
use FreshHuddle\App\Lesson\Order\SegmentView;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\UsageReader;
use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\HandOut\Plan\RowView;
use FreshHuddle\App\Ready\Sending\DeliveryKind;
use FreshHuddle\App\Ready\Sending\DeliveryPlan;
use FreshHuddle\App\Ready\Sending\DeliveryReader;
use FreshHuddle\App\Ready\Sending\DeliveryThing;
use FreshHuddle\App\Rooms\Link\StandingLinks;
use FreshHuddle\App\Rooms\RoomView;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\Column\AttributeView;
use FreshHuddle\App\Roster\Door\Passes;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedCopy;
use FreshHuddle\Core\Ready\PlannedGroup;
use FreshHuddle\Core\Ready\PlannedMaterial;
use FreshHuddle\Core\Ready\PlannedPost;
use FreshHuddle\Core\Ready\PlannedRoom;
use FreshHuddle\Core\Ready\PlannedSound;
use FreshHuddle\Core\Ready\SetUp\SetUpList;
use FreshHuddle\Core\Ready\SetUp\SetUpStep;
use FreshHuddle\Core\Ready\SetUp\StepKind;
use FreshHuddle\Core\Rooms\AddressPattern;
use FreshHuddle\Core\Rooms\Exception\UnusableLink;
use FreshHuddle\Core\Rooms\Link;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomPurpose;

/**
 * Collects what the ready check looks at: a round as it is planned.
 */
final readonly class PlanBuilder
{
    public function __construct(
        private RoomSources $sources,
        private Numbers $numbers,
        private DeskNotes $notes,
        private Judge $judge,
        private Passes $passes,
        private DeliveryReader $sent,
        private DeliveryPlan $deliveries,
        private UsageReader $usage,
        private StandingLinks $standing,
    ) {
    }

    /**
     * @param list<StudentView> $students
     * @param SetUpList         $all         what would be done to set the lesson up
     * @param SetUpList         $list        the same for this round
     * @param bool              $isSettingUp it is being done
     * @param list<string>      $inUse       places where somebody is: `main`, or the id of a group
     * @param PlannedSound|null $sound       the class's, where it meets in our own pages
     */
    public function build(
        Round $round,
        array $students,
        RunningOrderView $order,
        SetUpList $all,
        SetUpList $list,
        bool $isSettingUp,
        RoundParts $parts,
        array $inUse,
        ?PlannedSound $sound,
    ): Plan {
        $floor = $parts->floor;
        $class = $round->lesson->class;
        $source = $this->sources->forClass($class);
        $present = self::present($students);
        $roles = '' === $source->openedBy ? [] : $this->numbers->forGrouping($round->grouping)->roles();
        $groups = self::groups($floor, $roles);
        $isGuessable =
            $source->kind->isFromPattern()
            && '' !== $source->addressPattern
            && (new AddressPattern($source->addressPattern))->isGuessable();
        $used = $this->passes->usedIn($class->id);
        $sent = $this->sent->forRound($round->id);

        return new Plan(
            $present,
            $groups,
            self::rooms($parts->rooms, $isGuessable, $inUse),
            array_map(static fn (RowView $row): PlannedMaterial => self::material($row, $groups), $parts->rows),
            self::ofThisFloor($parts->copies, $groups),
            array_map(
                static fn (SegmentView $segment): array => [$segment->kind, $segment->minutes],
                $order->segments,
            ),
            $round->lesson->minutes,
            $round->segment->minutes,
            $source->kind,
            $source->openedBy,
            [] === $groups || ShapeKind::Sizes !== $this->notes->settings($round->grouping->id)->shape
                ? 1
                : \PHP_INT_MAX,
            [] === $groups ? [] : $this->judge->brokenRules($round->grouping, $floor),
            [] === $used || $this->usage->hasBeenOut($class->id)
                ? null
                : array_values(array_diff(array_map(strval(...), array_keys($present)), $used)),
            $all->summary(),
            $isSettingUp,
            $this->posts($round, $floor, $present, $sent),
            null === $round->lesson->startsAt ? null : (int) $round->lesson->startsAt->format('Uv'),
            \count(
                array_filter(
                    $list->harmless(),
                    static fn (SetUpStep $step): bool => StepKind::Post === $step->kind
                        || StepKind::Send === $step->kind,
                ),
            ),
            self::returned($sent, $present),
            $class->cannotReadYet,
            $round->lesson->talkOnly,
            [] === $groups ? AttributeView::toMixBy($students) : null,
            $source->kind->isPasted() ? \count($this->standing->forClass($class)) : 0,
            $sound,
        );
    }

    /**
     * @param list<StudentView> $students
     *
     * @return array<string, string> names by id
     */
    private static function present(array $students): array
    {
        $present = [];
        foreach ($students as $student) {
            if (!$student->absent) {
                $present[$student->id] = $student->name;
            }
        }

        return $present;
    }

    /**
     * @param array<int, string> $roles by seat, from 1
     *
     * @return list<PlannedGroup>
     */
    private static function groups(Floor $floor, array $roles): array
    {
        $groups = [];
        foreach ($floor->groups as $group) {
            $held = [];
            foreach ($group->students as $i => $student) {
                $held[$student] = $roles[$i + 1] ?? '';
            }
            $groups[] = new PlannedGroup(
                $group->id,
                $group->name,
                $group->students,
                array_filter($held, static fn (string $role): bool => '' !== $role),
            );
        }

        return $groups;
    }

    /**
     * @param array<string, string> $present
     * @param list<DeliveryThing>       $things
     *
     * @return list<PlannedPost>
     */
    private function posts(Round $round, Floor $floor, array $present, array $things): array
    {
        $groups = $posts = [];
        foreach ($floor->groups as $group) {
            $groups[$group->id] = $group;
        }
        $due = null;
        foreach ($things as $sent) {
            $group = $groups[$sent->target] ?? null;
            if (DeliveryKind::Post === $sent->kind && null !== $sent->theirId && null !== $group) {
                $due ??= [$this->deliveries->forRound($round)->dueAt];
                $posts[] = new PlannedPost(
                    $group->name,
                    $sent->audience,
                    array_values(
                        array_filter($group->students, static fn (string $student): bool => isset($present[$student])),
                    ),
                    $sent->dueAt,
                    $due[0],
                );
            }
        }

        return $posts;
    }

    /**
     * @param list<DeliveryThing>       $things
     * @param array<string, string> $present
     *
     * @return list<string>
     */
    private static function returned(array $things, array $present): array
    {
        $names = [];
        foreach ($things as $sent) {
            if (DeliveryKind::Letter === $sent->kind && !$sent->arrived && isset($present[$sent->target])) {
                $names[] = $present[$sent->target];
            }
        }

        return $names;
    }

    /**
     * @param list<RoomView> $rooms
     * @param list<string>   $inUse
     *
     * @return list<PlannedRoom>
     */
    private static function rooms(array $rooms, bool $isGuessable, array $inUse): array
    {
        $planned = [];
        foreach ($rooms as $room) {
            if (RoomPurpose::Side !== $room->purpose) {
                $planned[] = self::room(
                    $room,
                    $isGuessable,
                    \in_array($room->groupId ?? MainSession::PLACE, $inUse, true),
                );
            }
        }

        return $planned;
    }

    private static function room(RoomView $room, bool $isGuessable, bool $inUse): PlannedRoom
    {
        try {
            $link = null === $room->link ? null : Link::read($room->link);
        } catch (UnusableLink) {
            $link = null; // it was one when it was taken
        }

        return new PlannedRoom(
            $room->groupId ?? MainSession::PLACE,
            $room->name,
            $room->state,
            $room->source,
            $room->working,
            $link,
            null !== $room->triedAt,
            $isGuessable && $room->source->isFromPattern(),
            $room->failure,
            null !== $room->missedAt,
            $inUse,
        );
    }

    /**
     * @param list<PlannedGroup> $groups
     */
    private static function material(RowView $row, array $groups): PlannedMaterial
    {
        $names = $cells = $gets = [];
        foreach ($row->variants as $variant) {
            $names[$variant->id] = $variant->name;
        }
        foreach ($row->cells as $cell) {
            $cells[$cell->group] = $cell;
        }
        foreach ($groups as $group) {
            $way = $cells[$group->id]->way ?? $row->way;
            $gets[$group->id] =
                HandOutWay::Nothing === $way ? null : $names[$cells[$group->id]->variant ?? $row->variant] ?? '';
        }

        return new PlannedMaterial(
            $row->original,
            $row->title,
            $row->version,
            $row->unfinished,
            array_values($names),
            $gets,
            $row->missing,
            false,
            null !== $row->by,
            $row->spoken,
        );
    }

    /**
     * What was copied for a table that has been taken away is nobody's just now, and comes back with it.
     *
     * @param list<CopySummary>  $copies
     * @param list<PlannedGroup> $groups
     *
     * @return list<PlannedCopy>
     */
    private static function ofThisFloor(array $copies, array $groups): array
    {
        $existing = array_flip(array_map(static fn (PlannedGroup $group): string => $group->id, $groups));
        $planned = [];
        foreach ($copies as $copy) {
            if (null === $copy->groupId || isset($existing[$copy->groupId])) {
                $planned[] = new PlannedCopy(
                    $copy->id,
                    $copy->name,
                    $copy->original,
                    $copy->groupId,
                    $copy->studentId,
                    $copy->version,
                );
            }
        }

        return $planned;
    }
}
