<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Desk\Groupings;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Lessons;
use FreshHuddle\App\Lesson\MakeLesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Record\Correction\FigureCorrections;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Record\Kept\KeptRecords;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Lesson\SegmentKind;
use Symfony\Component\Uid\Uuid;

/**
 * Lessons a class has had before it moved in: over, each with its record.
 */
final readonly class MovedLessonKeeper
{
    public function __construct(
        private Groupings $groupings,
        private Lessons $lessons,
        private RunningOrders $orders,
        private KeptRecords $kept,
        private FigureCorrections $corrections,
    ) {
    }

    /**
     * @param list<MovedLesson>      $lessons
     * @param array<string, Student> $students by the ids in the file
     *
     * @throws RecordRefused if a record cannot be read
     */
    public function keep(Teacher $teacher, SchoolClass $class, array $lessons, Zip $zip, array $students): void
    {
        $grouping = $this->groupings->create($class, $class->name);
        foreach ($lessons as $lesson) {
            $this->lesson($teacher, $grouping, $lesson, $zip, $students);
        }
        // None of them is the one the class is in.
        $class->currentLessonId = null;
    }

    /**
     * @param array<string, Student> $students by the ids in the file
     */
    private function lesson(
        Teacher $teacher,
        Grouping $grouping,
        MovedLesson $moved,
        Zip $zip,
        array $students,
    ): void {
        $record = ClassFileReader::record(
            $zip,
            $moved->record,
            array_map(static fn (Student $one): string => $one->id, $students),
        );
        $lesson = $this->lessons->createWith(
            $grouping->class,
            new MakeLesson($moved->title, $moved->minutes, $record->facts->begunAt),
            function (Lesson $lesson) use ($grouping, $moved): void {
                $segment = new Segment(
                    Uuid::v7()->toRfc4122(),
                    $lesson,
                    null,
                    SegmentKind::Round,
                    $moved->minutes,
                );
                new Round(Uuid::v7()->toRfc4122(), $segment, $grouping);
                $this->orders->arrange($lesson, [$segment]);
            },
        );
        $lesson->begunAt = $record->facts->begunAt;
        $lesson->endedAt = $record->facts->endedAt;
        $this->kept->keep($lesson, $record);
        $this->corrections->moveIn($lesson, $teacher, $students, $record->corrections);
    }
}
