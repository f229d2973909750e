<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\SignUp\SignUps;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Rooms\RoomEntry;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Materials\CopyTime;
use FreshHuddle\Core\Rooms\SourceKind;
use FreshHuddle\Core\Rooms\WayIn;

/**
 * What a student may know. It is put together here from what concerns that student, not cut down from something larger.
 *
 * @phpstan-import-type Room from StudentReader
 */
final readonly class StudentPage
{
    public function __construct(
        private NowReader $lessons,
        private StudentReader $reader,
        private Clock $clock,
        private SignUps $signUps,
        private RoomEntry $rooms,
    ) {
    }

    public function now(StudentUser $student): StudentNow
    {
        $now = $this->clock->ms();
        $lesson = null === $student->lessonId ? null : $this->lessons->forLesson($student->lessonId);
        if (null === $lesson) {
            $around = $this->reader->around($student);

            return new StudentNow(
                $student->id,
                $student->name,
                $student->className,
                null,
                null,
                0,
                $now,
                null,
                null,
                null,
                null,
                self::mainSession($around['main']),
                null,
                [],
                null,
                false,
                null,
                null,
                $around['otherDevice'],
                [],
                $student->young,
                $around['speaking'],
                $around['takesIn'],
            );
        }

        return $this->build($student, $lesson, $now);
    }

    /**
     * The page at any moment of a lesson.
     *
     * @param list<CopyLink>|null $sheets instead of the copies there are
     * @param list<MyWork>|null   $alone  instead of the work there is
     */
    public function build(
        StudentUser $student,
        LessonNow $lesson,
        int $now,
        ?array $sheets = null,
        ?array $alone = null,
    ): StudentNow {
        $around = $this->reader->around($student, $lesson->roundId);
        $shown = $lesson->phase($now)->showsGroups();

        return new StudentNow(
            $student->id,
            $student->name,
            $student->className,
            $lesson->lessonId,
            $lesson->title,
            $around['seq'],
            $now,
            self::segment($lesson),
            $lesson->roundId,
            $lesson->moments,
            $shown ? $this->group($student, $lesson, $sheets) : null,
            self::mainSession($around['main']),
            $around['seenIn'],
            $around['notices'],
            $shown && SegmentKind::Round === $lesson->kind ? null : $this->signUps->view($student),
            null !== $lesson->endedAt,
            $lesson->phase($now)->isUnderWay() ? $around['aside'] : null,
            $around['fetchedAt'],
            $around['otherDevice'],
            $alone ?? self::alone($around['alone'], $lesson),
            $student->young,
            $around['speaking'],
            $around['takesIn'],
        );
    }

    /**
     * @param list<array{CopyLink, int}> $work each with the position of the segment it opens with
     *
     * @return list<MyWork> what the lesson has come to
     */
    private static function alone(array $work, LessonNow $lesson): array
    {
        $open = array_values(
            array_filter($work, static fn (array $copy): bool => CopyTime::hasCome($copy[1], $lesson->position)),
        );

        return array_map(
            static fn (array $copy): MyWork => new MyWork(
                $copy[0]->id,
                $copy[0]->title,
                $copy[1] === $lesson->position && null === $lesson->endedAt,
            ),
            $open,
        );
    }

    /**
     * Where this student belongs now, with the link that leads there.
     *
     * @return array{place: string, link: string, source: SourceKind}|null null if there is no room for them
     */
    public function way(StudentUser $student): ?array
    {
        $lesson = null === $student->lessonId ? null : $this->lessons->forLesson($student->lessonId);
        if (null === $lesson || !$lesson->phase($this->clock->ms())->isOut()) {
            return $this->reader->link($student, null);
        }
        $aside = $this->reader->around($student, $lesson->roundId)['aside'];
        if (null === $aside || $aside->from > $this->clock->ms()) {
            return $this->reader->link($student, $lesson->groupingId);
        }

        return null === $aside->room
            ? $this->reader->link($student, null)
            : $this->reader->sideLink($student, $aside->place);
    }

    /**
     * A member who opens the room of their group says that it is open now.
     *
     * @throws LiveRefused if that is somebody else's to do, or nobody's
     */
    public function openRoom(StudentUser $student): void
    {
        $lesson = null === $student->lessonId ? null : $this->lessons->forLesson($student->lessonId);
        $group =
            null === $lesson?->groupingId || null === $lesson->roundId || !$lesson->phase($this->clock->ms())->isOut()
                ? null
                : $this->reader->group($student, $lesson->groupingId, $lesson->roundId);
        $room = $group['room'] ?? null;
        if (null === $group || null === $room || null === $lesson) {
            throw LiveRefused::notAllowed('live.room_not_yours_to_open');
        }
        match (self::wayIn($group, $student, $lesson)) {
            WayIn::Open => $this->rooms->opened($room['id'], $student->classId),
            WayIn::Press => null, // it is open already
            default => throw LiveRefused::notAllowed('live.room_not_yours_to_open'),
        };
    }

    /**
     * The segment a lesson is in, as whoever is in it may know it; null before it has begun.
     */
    public static function segment(LessonNow $lesson): ?MySegment
    {
        if (null === $lesson->kind) {
            return null;
        }

        return new MySegment(
            $lesson->kind,
            $lesson->instructions,
            null === $lesson->since ? null : $lesson->since + 60_000 * $lesson->minutes,
        );
    }

    /**
     * What was opened counts since groups were sent out.
     *
     * @param array{room: Room|null, members: list<Mate>, ...} $group
     */
    private static function wayIn(array $group, StudentUser $student, LessonNow $lesson): WayIn
    {
        $room = $group['room'];

        return WayIn::forStudent(
            $room['source'] ?? null,
            $room['openedBy'] ?? '',
            array_column($group['members'], 'role', 'id'),
            $student->id,
            $room['openedAt'] ?? null,
            $lesson->moments->outAt ?? 0,
        );
    }

    /**
     * @param array{SourceKind, string}|null $main
     */
    private static function mainSession(?array $main): MyRoom
    {
        $way = WayIn::forStudent($main[0] ?? null, '', [], '', null, 0);

        return new MyRoom($way, WayIn::Place === $way ? $main[1] ?? '' : '', []);
    }

    /**
     * @param list<CopyLink>|null $sheets
     */
    private function group(StudentUser $student, LessonNow $lesson, ?array $sheets): ?MyGroup
    {
        if (null === $lesson->groupingId || null === $lesson->roundId) {
            return null;
        }
        // Once everybody is back, the groups of this round are those it had, whatever is planned with them for the
        // next.
        $run = $lesson->phase($this->clock->ms())->isUnderWay() ? null : $lesson->runId;
        $group = $this->reader->group($student, $lesson->groupingId, $lesson->roundId, $run);
        if (null === $group) {
            return null;
        }
        $roles = $names = [];
        foreach ($group['members'] as $mate) {
            $roles[$mate->id] = $mate->role;
            $names[$mate->id] = $mate->name;
        }
        $role = $roles[$student->id] ?? '';
        $room = $group['room'];
        $way = self::wayIn($group, $student, $lesson);
        $openers =
            WayIn::Open === $way || WayIn::Wait === $way ? WayIn::openers($room['openedBy'] ?? '', $roles) : [];
        $myRoom = new MyRoom(
            $way,
            WayIn::Place === $way ? $room['name'] ?? '' : '',
            array_map(static fn (string $id): string => $names[$id], $openers),
        );

        return new MyGroup(
            $group['id'],
            $group['name'],
            $group['number'],
            $group['mark'],
            $group['members'],
            $myRoom,
            $sheets ?? $group['copies'],
            $group['seat'],
            $role,
            $group['task'],
            $group['signal'],
        );
    }
}
