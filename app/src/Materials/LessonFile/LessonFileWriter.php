<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Notice\PreparedNotice;
use FreshHuddle\App\Lesson\Notice\PrepareNotice;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\Cupboard\SaveOriginal;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\HandOut\Plan\ByAttribute;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Materials\Media\MediaShelf;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Materials\HandOutRow;

/**
 * Saves a lesson as one file: its running order, how its groups are made, its worksheets with their pictures, and who
 * gets what. No student is in it: where a group or a seat is meant, it is its place.
 */
final readonly class LessonFileWriter
{
    public function __construct(
        private RunningOrders $orders,
        private DeskNotes $notes,
        private Numbers $numbers,
        private FloorStore $floors,
        private HandOutPlan $plan,
        private Cupboard $cupboard,
        private MediaShelf $shelf,
    ) {
    }

    /**
     * @return string the bytes of a zip file
     */
    public function write(Lesson $lesson): string
    {
        $segments = $this->orders->segments($lesson);
        $places = $groupings = $originals = [];
        foreach ($segments as $i => $segment) {
            $places[$segment->id] = $i;
            if (null !== $segment->round) {
                $groupings[$segment->round->grouping->id] ??= $segment->round->grouping;
                foreach ($this->plan->rows($segment->round->id) as $row) {
                    $originals[$row->original] ??= $this->plan->original($row);
                }
            }
        }
        $of = ['groupings' => array_flip(array_keys($groupings)), 'originals' => array_flip(array_keys($originals))];
        $plan = new LessonPlan(
            $lesson->title,
            $lesson->minutes,
            $lesson->talkOnly,
            $lesson->locksAtEnd,
            array_values(array_map($this->grouping(...), $groupings)),
            array_map(
                fn (Segment $segment): SegmentPart => new SegmentPart(
                    $segment->kind,
                    $segment->minutes,
                    $segment->instructions,
                    null === $segment->round ? null : $this->round($segment->round, $places, $of),
                ),
                $segments,
            ),
            array_values(array_map($this->original(...), $originals)),
        );
        $media = [];
        foreach ($plan->originals as $save) {
            array_push($media, ...$this->cupboard->mediaIn($save));
        }

        return Zip::fromFiles($this->shelf->files([LessonArchive::PLAN => self::json($plan)], $media));
    }

    private static function json(LessonPlan $plan): string
    {
        $originals = array_map(
            static fn (SaveOriginal $one): array => array_diff_key(
                get_object_vars($one),
                ['basedOn' => true, 'base' => true],
            ),
            $plan->originals,
        );

        return OpenFormat::write(LessonPlanReader::FORMAT, array_replace(get_object_vars($plan), ['originals' => $originals]));
    }

    private function grouping(Grouping $grouping): GroupingPart
    {
        return new GroupingPart(
            $grouping->name,
            $this->notes->settings($grouping->id),
            $this->numbers->forGrouping($grouping),
            array_map(
                static fn (Group $group): string => $group->name,
                $this->floors->now($grouping->id)->groups,
            ),
        );
    }

    /**
     * @param array<string, int>                                                       $places of segments
     * @param array{groupings: array<string, int>, originals: array<string, int>} $of     places by id
     */
    private function round(Round $round, array $places, array $of): RoundPart
    {
        $groups = array_flip(
            array_map(
                static fn (Group $group): string => $group->id,
                $this->floors->now($round->grouping->id)->groups,
            ),
        );

        return new RoundPart(
            $of['groupings'][$round->grouping->id],
            $round->lookSeconds,
            $round->callBackSeconds,
            $round->autoCallBack,
            array_values(
                array_map(
                    static fn (PreparedNotice $one): PrepareNotice => new PrepareNotice(
                        $one->beforeEnd,
                        $one->seconds,
                        $one->text,
                    ),
                    $round->notices->toArray(),
                ),
            ),
            array_map(
                static fn (HandOutRow $row): RowPart => self::row($row, $places, $groups, $of['originals']),
                $this->plan->rows($round->id),
            ),
        );
    }

    /**
     * @param array<string, int> $places
     * @param array<string, int> $groups
     * @param array<string, int> $originals
     */
    private static function row(HandOutRow $row, array $places, array $groups, array $originals): RowPart
    {
        $cells = [];
        foreach ($row->cells as $group => $cell) {
            if (isset($groups[$group])) {
                $cells[] = new CellPart($groups[$group], $cell['way'], $cell['variant']);
            }
        }

        return new RowPart(
            $originals[$row->original],
            $row->way,
            $row->variant,
            null === $row->opensWith ? null : $places[$row->opensWith] ?? null,
            ByAttribute::fromVariants($row->by),
            $cells,
        );
    }

    private function original(StoredOriginal $master): SaveOriginal
    {
        $original = $this->cupboard->original($master);

        return new SaveOriginal(
            $original->title,
            0,
            array_map(PageView::fromPage(...), $original->pages),
            $original->variants,
            $master->subject,
            $master->year,
            $master->about,
        );
    }
}
