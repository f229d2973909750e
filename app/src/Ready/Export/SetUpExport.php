<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Export;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Paper\Handout;
use FreshHuddle\App\Materials\Paper\Handouts;
use FreshHuddle\App\Materials\Paper\WorkLine;
use FreshHuddle\App\Ready\Sending\DeliveryPlan;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\RoomView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * The whole set-up of a round for other programs: who sits where, what they carry, where they meet and what they work
 * on. See docs/formats/set-up.schema.json and set-up.csv.md.
 */
final readonly class SetUpExport
{
    public function __construct(
        private Handouts $handouts,
        private FloorStore $floors,
        private RoomReader $rooms,
        private DeliveryPlan $deliveries,
        private Words $words,
    ) {
    }

    /**
     * A line for each student.
     *
     * @param string|null $origin of the address students type, such as https://school.example, for a file with
     *                            everybody's personal
     *                            code: whoever has it comes in as them; null: without codes
     */
    public function csv(Round $round, ?string $origin): string
    {
        $view = $this->handouts->forRound($round);
        [, $rooms] = $this->rooms($round);
        $say = fn (string $column): string => $this->words->say(new Message('ready.export.'.$column));
        $rows = [
            [
                $say('group'),
                $say('name'),
                $say('number'),
                $say('role'),
                $say('task'),
                $say('room'),
                $say('link'),
                $say('work'),
                ...null === $origin ? [] : [$say('pass')],
            ],
        ];
        foreach ($view->slips as $slip) {
            $group = null === $slip->group ? null : $view->groups[$slip->group - 1];
            $room = null === $slip->group ? null : $rooms[$slip->group - 1] ?? null;
            $work =
                null === $group
                    ? []
                    : array_map(static fn (WorkLine $line): string => self::work($line), [
                        ...$view->work,
                        ...$group->work,
                    ]);
            $rows[] = [
                $group?->name,
                $slip->name,
                $slip->seat,
                $slip->role,
                $slip->task,
                $room?->name,
                $room?->link,
                implode('; ', $work),
                ...null === $origin ? [] : [$origin.$slip->pass],
            ];
        }

        return SafeCsv::write($rows);
    }

    /**
     * `fresh-huddle/set-up`, version 1.
     *
     * @param string|null $origin as for `csv`
     */
    public function json(Round $round, ?string $origin): string
    {
        $view = $this->handouts->forRound($round);
        $sending = $this->deliveries->forRound($round);
        [$mainSession, $rooms] = $this->rooms($round);
        $student = static fn (Handout $slip): array => self::student($slip, $origin);
        $groups = [];
        foreach ($view->groups as $i => $group) {
            $groups[] = array_filter(
                [
                    'number' => $group->number,
                    'name' => $group->name,
                    'room' => self::room($rooms[$i] ?? null),
                    'work' => array_map(self::line(...), [...$view->work, ...$group->work]),
                    'students' => array_values(
                        array_map(
                            $student,
                            array_filter(
                                $view->slips,
                                static fn (Handout $slip): bool => $slip->group === $group->number,
                            ),
                        ),
                    ),
                ],
                static fn (mixed $value): bool => null !== $value,
            );
        }

        return OpenFormat::write('fresh-huddle/set-up', [
            'lesson' => [
                'id' => $view->lessonId,
                'title' => $view->title,
                'startsAt' => self::moment($view->startsAt),
                'minutes' => $round->lesson->minutes,
            ],
            'class' => ['id' => $view->classId, 'name' => $view->className, 'doorWord' => $view->doorWord],
            'round' => [
                'id' => $round->id,
                'minutes' => $round->segment->minutes,
                'instructions' => $round->segment->instructions,
            ],
            'mainSession' => self::room($mainSession),
            'groups' => $groups,
            'withoutSeat' => array_values(
                array_map(
                    $student,
                    array_filter($view->slips, static fn (Handout $slip): bool => null === $slip->group),
                ),
            ),
            'sent' => [
                'posts' => $sending->posts,
                'letters' => $sending->letters,
                'unit' => $sending->unit,
                'due' => self::moment($sending->dueAt),
                'counted' => $sending->counted,
            ],
        ]);
    }

    private static function moment(?int $ms): ?string
    {
        return null === $ms ? null : gmdate('Y-m-d\TH:i:s\Z', intdiv($ms, 1_000));
    }

    /**
     * @return array<string, mixed> without what is not known
     */
    private static function student(Handout $slip, ?string $origin): array
    {
        return array_filter(
            [
                'id' => $slip->id,
                'name' => $slip->name,
                'number' => $slip->seat,
                'role' => '' === $slip->role ? null : $slip->role,
                'task' => '' === $slip->task ? null : $slip->task,
                'pass' => null === $origin ? null : $origin.$slip->pass,
            ],
            static fn (mixed $value): bool => null !== $value,
        );
    }

    /**
     * @return array<string, string>|null
     */
    private static function room(?RoomView $room): ?array
    {
        return null === $room
            ? null
            : array_filter(
                [
                    'name' => $room->name,
                    'source' => $room->source->value,
                    'state' => $room->state->value,
                    'link' => $room->link,
                ],
                is_string(...),
            );
    }

    /**
     * @return array<string, string>
     */
    private static function line(WorkLine $line): array
    {
        return array_filter(
            ['title' => $line->title, 'way' => $line->way->value, 'variant' => $line->variant],
            is_string(...),
        );
    }

    private static function work(WorkLine $line): string
    {
        return null === $line->variant ? $line->title : "{$line->title}: {$line->variant}";
    }

    /**
     * @return array{RoomView|null, array<int, RoomView>} of the main session; and by the place of the group on the
     *     floor, from 0
     */
    private function rooms(Round $round): array
    {
        $floor = $this->floors->now($round->grouping->id);
        $at = $rooms = [];
        $main = null;
        foreach ($floor->groups as $i => $group) {
            $at[$group->id] = $i;
        }
        foreach ($this->rooms->ofRound($round->grouping->id, $round->lesson->class->id, $floor) as $room) {
            $main = RoomPurpose::Main === $room->purpose ? $room : $main;
            if (null !== $room->groupId && isset($at[$room->groupId])) {
                $rooms[$at[$room->groupId]] = $room;
            }
        }

        return [$main, $rooms];
    }
}
