<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\HandOut\HandOutService;
use FreshHuddle\App\Materials\Paper\Handouts;
use FreshHuddle\App\Ready\Sending\DeliveryKind;
use FreshHuddle\App\Ready\Sending\DeliveryPlan;
use FreshHuddle\App\Ready\Sending\DeliveryReader;
use FreshHuddle\App\Ready\Sending\Postings;
use FreshHuddle\App\Ready\Sending\StudentLetters;
use FreshHuddle\App\Rooms\Link\StandingLinks;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Rooms\Member\Occupants;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\RoundRooms;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Ready\SetUp\ActualState;
use FreshHuddle\Core\Ready\SetUp\CopyThere;
use FreshHuddle\Core\Ready\SetUp\LetterThere;
use FreshHuddle\Core\Ready\SetUp\PostThere;
use FreshHuddle\Core\Ready\SetUp\RoomThere;
use FreshHuddle\Core\Ready\SetUp\SetUpList;
use FreshHuddle\Core\Ready\SetUp\WantedCopy;
use FreshHuddle\Core\Ready\SetUp\WantedLetter;
use FreshHuddle\Core\Ready\SetUp\WantedPost;
use FreshHuddle\Core\Ready\SetUp\WantedRoom;
use FreshHuddle\Core\Ready\SetUp\WantedState;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * What has to be done for a round, from what is planned and what is there.
 */
final readonly class SetUpLists
{
    public function __construct(
        private FloorStore $floors,
        private ClassReader $classes,
        private Staff $staff,
        private RoundRooms $rooms,
        private RoomReader $roomReader,
        private RoomService $service,
        private Occupants $occupants,
        private HandOutService $handingOut,
        private Handouts $handouts,
        private DeliveryPlan $sendings,
        private Postings $postings,
        private StudentLetters $letters,
        private DeliveryReader $sent,
        private RunningOrders $orders,
        private StandingLinks $standing,
    ) {
    }

    /**
     * What has to be done for a lesson: for all rounds that are still to come, and for the one that is shown.
     *
     * @param list<StudentView>|null $students everybody on the class list; null: as it is now
     * @param bool                   $ask      whether services may be asked who is in rooms that are to go
     *
     * @return array{SetUpList, array<string, SetUpList>} all of it, and by round
     */
    public function ofLesson(Round $shown, ?array $students = null, bool $ask = true): array
    {
        $students ??= $this->classes->students($shown->lesson->class->id);
        $lists = [];
        foreach ($this->orders->roundsToCome($shown) as $round) {
            $lists[$round->id] = $this->forRound($round, null, $students, null, $ask);
        }

        return [SetUpList::join($lists), $lists];
    }

    /**
     * @param Floor|null             $floor    null: as it is now
     * @param list<StudentView>|null $students everybody on the class list; null: as it is now
     * @param list<CopySummary>|null $copies   of the round; null: as they are now
     * @param bool                   $ask      whether services may be asked who is in rooms that are to go
     */
    public function forRound(
        Round $round,
        ?Floor $floor = null,
        ?array $students = null,
        ?array $copies = null,
        bool $ask = true,
    ): SetUpList {
        $class = $round->lesson->class;
        $floor ??= $this->floors->now($round->grouping->id);
        $students ??= $this->classes->students($class->id);
        if ([] === $floor->groups) {
            return SetUpList::between(new WantedState(), new ActualState());
        }
        $names = $tables = [];
        foreach ($students as $student) {
            $names[$student->id] = $student->name;
        }
        foreach ($floor->groups as $group) {
            $tables[$group->id] = $group->name;
        }
        $staff = $this->staff->names($class);
        $wantedCopies = $this->wantedCopies($round, $floor);
        $sending = $this->sendings->forRound($round);
        $posts = $letters = [];
        $view = $sending->posts || $sending->letters ? $this->handouts->forRound($round) : null;
        foreach ($sending->posts ? $this->postings->forRound($round, $view) : [] as $group => $posting) {
            $posts[] = new WantedPost($group, $posting->audience, $posting->digest());
        }
        foreach ($sending->letters ? $this->letters->facts($round, $view) : [] as $student => $letter) {
            $letters[] = new WantedLetter($student, $letter->address, $letter->digest());
        }
        $postsThere = $lettersThere = [];
        foreach ($this->sent->forRound($round->id) as $sent) {
            if (DeliveryKind::Post === $sent->kind && null !== $sent->theirId) {
                $postsThere[] = new PostThere($sent->id, $sent->target, $sent->name, $sent->audience, $sent->digest);
            } elseif (DeliveryKind::Letter === $sent->kind && null !== $sent->at) {
                $lettersThere[] = new LetterThere($sent->target, $sent->address, $sent->digest, $sent->arrived);
            }
        }

        return SetUpList::between(
            new WantedState(
                $this->wantedRooms($round, $floor, $names, $staff),
                $wantedCopies['copies'],
                $posts,
                $letters,
                $names + $staff,
                $tables,
            ),
            new ActualState(
                $this->roomsThere($round, $ask),
                $this->copiesThere($round, $floor, $names, $wantedCopies, $copies),
                $postsThere,
                $lettersThere,
            ),
        );
    }

    /**
     * @return array{copies: list<WantedCopy>, waiting: list<string>} what there should be, and originals whose copies
     *     are left as they are
     */
    private function wantedCopies(Round $round, Floor $floor): array
    {
        $tableOf = $copies = $waiting = [];
        foreach ($floor->groups as $group) {
            foreach ($group->students as $student) {
                $tableOf[$student] = $group->id;
            }
        }
        foreach ($this->handingOut->due($round, $floor) as $row) {
            if ($row->isUnfinished) {
                $waiting[] = $row->original;
                continue;
            }
            foreach ($row->due as $due) {
                $table = $due->group ?? (null === $due->student ? null : $tableOf[$due->student] ?? null);
                $copies[] = new WantedCopy(
                    $row->original,
                    $row->title,
                    $table,
                    $due->group,
                    $due->student,
                    $due->variant,
                    $row->version,
                    isset($row->earlier["{$due->group}|{$due->student}"]),
                );
            }
        }

        return ['copies' => $copies, 'waiting' => $waiting];
    }

    /**
     * What belongs to somebody on the list who has no seat just now waits for them.
     *
     * @param array<string, string>                                  $names
     * @param array{copies: list<WantedCopy>, waiting: list<string>} $wanted
     * @param list<CopySummary>|null                                 $copies
     *
     * @return list<CopyThere>
     */
    private function copiesThere(Round $round, Floor $floor, array $names, array $wanted, ?array $copies): array
    {
        $copies ??= $this->handingOut->summaries($round->id);
        $worked = [] === $copies ? [] : $this->handingOut->worked($round->id);
        $titles = [] === $copies ? [] : $this->handingOut->titles($round->id);
        $seated = array_flip($floor->seated());
        $there = [];
        foreach ($copies as $copy) {
            $waits =
                \in_array($copy->original, $wanted['waiting'], true)
                || (null !== $copy->studentId && isset($names[$copy->studentId]) && !isset($seated[$copy->studentId]));
            $there[] = new CopyThere(
                $copy->id,
                $copy->original,
                $titles[$copy->original] ?? '',
                $copy->name,
                $copy->groupId,
                $copy->studentId,
                $copy->variant,
                $copy->version,
                $worked[$copy->id] ?? 0,
                $waits,
            );
        }

        return $there;
    }

    /**
     * The rooms a round wants, made or not.
     *
     * @param array<array-key, string> $students names of everybody on the class list, by id
     * @param array<array-key, string> $staff    names by id
     *
     * @return list<WantedRoom>
     */
    private function wantedRooms(Round $round, Floor $floor, array $students, array $staff): array
    {
        $sources = $this->roomReader->sources($round->lesson->class->id);
        $staffIds = array_map(strval(...), array_keys($staff));
        $seated = [MainSession::PLACE => array_map(strval(...), array_keys($students))];
        foreach ($floor->groups as $group) {
            $seated[$group->id] = array_values(
                array_filter($group->students, static fn (string $student): bool => isset($students[$student])),
            );
        }
        $wanted = [];
        // Links that stay with the class serve its groups in order.
        $standing = \array_slice(
            array_map(static fn (Group $group): string => $group->id, $floor->groups),
            0,
            \count($this->standing->forClass($round->lesson->class)),
        );
        foreach ($this->rooms->names($round, $floor) as $place => $name) {
            $source = $sources[$place] ?? $sources[''];
            // A link has to be said by somebody, and a table in the classroom is there.
            $wanted[] = new WantedRoom(
                (string) $place,
                $name,
                [...$seated[$place], ...$staffIds],
                SourceKind::MeetingService === $source
                    || SourceKind::NamePattern === $source
                    || (SourceKind::OwnLinks === $source && \in_array($place, $standing, true)),
            );
        }

        return $wanted;
    }

    /**
     * The rooms that are there: those of a round, and those that nobody wants any more.
     *
     * @param bool $ask whether the meeting service may be asked who is in those that are to go
     *
     * @return list<RoomThere>
     */
    private function roomsThere(Round $round, bool $ask): array
    {
        $class = $round->lesson->class;
        $rows = $this->roomReader->forSetUp($class->id, $round->grouping->id);
        $going = array_values(
            array_filter(
                array_map(
                    static fn (Row $row): ?string => $row->bool('on_floor') ? null : $row->textOrNull('external_id'),
                    $rows,
                ),
                is_string(...),
            ),
        );
        try {
            $states = $ask && [] !== $going ? $this->service->states($going) : null;
        } catch (MeetingServiceFailed) {
            $states = null;
        }
        $there = [];
        foreach ($rows as $row) {
            $isGoing = !$row->bool('on_floor');
            $state = $states[$row->textOrNull('external_id') ?? ''] ?? null;
            $inside =
                $isGoing && null !== $state && $state->people > 0
                    ? $this->occupants->withExternalId($class, (string) $row->textOrNull('external_id'))
                    : [];
            $there[] = new RoomThere(
                $row->text('id'),
                $row->text('place'),
                $row->text('name'),
                RoomState::from($row->text('state'))->hasLink(),
                null !== $row->intOrNull('missed_at'),
                array_values(array_filter([...$row->json('students'), ...$row->json('staff')], \is_string(...))),
                $row->bool('named_by_hand'),
                $inside,
                $isGoing ? $state->recordings ?? 0 : 0,
                !$isGoing || null !== $states,
            );
        }

        return $there;
    }
}
