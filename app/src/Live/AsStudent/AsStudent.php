<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\AsStudent;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\Student\CopyLink;
use FreshHuddle\App\Live\Student\MyWork;
use FreshHuddle\App\Live\Student\StudentPage;
use FreshHuddle\App\Materials\HandOut\SheetReader;
use FreshHuddle\App\Materials\HandOut\SheetView;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Device\Young;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * What a student will see: the same page that students get, asked at a moment that is not now.
 */
final readonly class AsStudent
{
    public function __construct(
        private EntityManagerInterface $em,
        private StudentPage $page,
        private SheetReader $sheets,
        private Clock $clock,
    ) {
    }

    /**
     * @throws LiveRefused if the student is not on the list of the class
     */
    public function view(Segment $segment, string $studentId, Moment $moment): AsStudentView
    {
        $lesson = $segment->lesson;
        $student =
            $this->em
                ->getRepository(Student::class)
                ->findOneBy(['id' => $studentId, 'class' => $lesson->class, 'removedAt' => null]) ??
            throw LiveRefused::missing();
        $round = $segment->round;
        $now = $this->clock->ms();
        $before = null === $round || Moment::Before === $moment;
        $user = new StudentUser(
            $student->id,
            $student->name,
            $lesson->class->id,
            $lesson->class->name,
            $lesson->id,
            '',
            $lesson->class->cannotReadYet ? new Young($student->picture, $lesson->class->language) : null,
        );
        $alone = SegmentKind::Alone === $segment->kind ? $this->sheets->aloneSheets($segment, $student->id) : [];
        $sheets = null === $round || $before ? [] : $this->sheets->sheets($round, $student->id);
        $page = $this->page->build(
            $user,
            new LessonNow(
                $lesson->id,
                $lesson->class->id,
                $lesson->title,
                $segment->kind,
                $now,
                $segment->minutes,
                $segment->instructions,
                $round?->id,
                $round?->grouping->id,
                null === $round ? null : self::moments($round, $moment, $now, $segment->minutes),
                true,
                null,
                null,
                $lesson->time(),
                null,
                $segment->position,
            ),
            $now,
            array_map(
                static fn (SheetView $sheet): CopyLink => new CopyLink($sheet->id, $sheet->title, $sheet->way),
                $sheets,
            ),
            array_map(static fn (SheetView $sheet): MyWork => new MyWork($sheet->id, $sheet->title, true), $alone),
        );

        return new AsStudentView($page, [...$sheets, ...$alone]);
    }

    private static function moments(Round $round, Moment $moment, int $now, int $minutes): Moments
    {
        $end = 60_000 * $minutes;
        $back = 1_000 * $round->callBackSeconds;

        return match ($moment) {
            Moment::Before => new Moments(null, null, null, null, null, null, null),
            Moment::Looking => new Moments(
                $now,
                $now + max(1_000, 1_000 * $round->lookSeconds),
                $now + $end,
                null,
                null,
                null,
                null,
            ),
            Moment::Out => new Moments($now - 1, $now - 1, $now + $end, null, null, null, null),
            Moment::ComingBack => new Moments(
                $now - $end,
                $now - $end,
                $now,
                null,
                $now - 1,
                $now + max(1_000, $back),
                null,
            ),
            Moment::Back => new Moments($now - $end, $now - $end, $now, null, $now - 2, $now - 1, null),
        };
    }
}
