<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\SignUp\SignUps;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * What a student may know. It is put together here from what concerns that student, not cut down from something larger.
 */
final readonly class StudentPage
{
    public function __construct(
        private NowReader $lessons,
        private StudentReader $reader,
        private Clock $clock,
        private SignUps $signUps,
    ) {
    }

    public function now(StudentUser $student): StudentNow
    {
        $now = $this->clock->ms();
        $lesson = null === $student->lessonId ? null : $this->lessons->of($student->lessonId);
        if (null === $lesson) {
            $around = $this->reader->around($student);

            return new StudentNow($student->id, $student->name, $student->className, null, null, 0, $now, null, null, null, null, $around['main'], null, [], null, false);
        }

        return $this->at($student, $lesson, $now);
    }

    /**
     * The page at any moment of a lesson.
     *
     * @param list<CopyLink>|null $sheets instead of the copies there are
     */
    public function at(StudentUser $student, LessonNow $lesson, int $now, ?array $sheets = null): StudentNow
    {
        $around = $this->reader->around($student);
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
            $around['main'],
            $around['seenIn'],
            $around['notices'],
            $shown && SegmentKind::Round === $lesson->kind ? null : $this->signUps->view($student),
            null !== $lesson->endedAt,
        );
    }

    /**
     * Where this student belongs now, with the link that leads there.
     *
     * @return array{place: string, link: string}|null null if there is no room for them
     */
    public function way(StudentUser $student): ?array
    {
        $lesson = null === $student->lessonId ? null : $this->lessons->of($student->lessonId);
        $out = null !== $lesson && $lesson->phase($this->clock->ms())->isOut();

        return $this->reader->link($student, $out ? $lesson->groupingId : null);
    }

    /**
     * The segment a lesson is in, as whoever is in it may know it; null before it has begun.
     */
    public static function segment(LessonNow $lesson): ?MySegment
    {
        if (null === $lesson->kind) {
            return null;
        }

        return new MySegment($lesson->kind, $lesson->instructions, null === $lesson->since ? null : $lesson->since + 60_000 * $lesson->minutes);
    }

    /**
     * @param list<CopyLink>|null $sheets
     */
    private function group(StudentUser $student, LessonNow $lesson, ?array $sheets): ?MyGroup
    {
        if (null === $lesson->groupingId || null === $lesson->roundId) {
            return null;
        }
        $group = $this->reader->group($student, $lesson->groupingId, $lesson->roundId);
        if (null === $group) {
            return null;
        }
        $role = '';
        foreach ($group['members'] as $mate) {
            $role = $mate->id === $student->id ? $mate->role : $role;
        }

        return new MyGroup($group['id'], $group['name'], $group['number'], $group['mark'], $group['members'], $group['room'], $sheets ?? $group['copies'], $group['seat'], $role, $group['task']);
    }
}
