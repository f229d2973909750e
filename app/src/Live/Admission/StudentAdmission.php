<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Live\Recording\Recordings;
use FreshHuddle\App\Live\Student\StudentPage;
use FreshHuddle\App\Rooms\Own\Participant;
use FreshHuddle\App\Rooms\Own\RoomAdmission;
use FreshHuddle\App\Rooms\Own\RoomTicket;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * Lets a student into the room where they belong now, and into no other. Rooms are for lessons: nobody is let in before
 * one begins, or when it is over.
 */
final readonly class StudentAdmission
{
    public function __construct(
        private EntityManagerInterface $em,
        private NowReader $lessons,
        private StudentPage $page,
        private RoomAdmission $admission,
        private PresenceStore $presence,
        private Recordings $recordings,
    ) {
    }

    public function pass(StudentUser $student): RoomTicket
    {
        $lesson = null === $student->lessonId ? null : $this->lessons->forLesson($student->lessonId);
        $class = $this->em->find(SchoolClass::class, $student->classId);
        $way = null === $lesson?->kind || null !== $lesson->endedAt ? null : $this->page->way($student);
        if (null === $class || null === $way || !$way['source']->isHere()) {
            throw LiveRefused::outdated('live.no_room_now');
        }
        $pass = $this->admission->admitTo($class, $way['place'], Participant::student($student->id, $student->name));
        $this->presence->followed($student->id, $way['place']);

        return $pass->withRecording($this->recordings->isRunning($pass->room));
    }
}
