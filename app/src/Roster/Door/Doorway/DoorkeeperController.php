<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door\Doorway;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Roster\ClassAccess;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\ClassView;
use FreshHuddle\App\Roster\Device\StudentDevices;
use FreshHuddle\App\Roster\Door\DoorWords;
use FreshHuddle\App\Roster\Door\Passes;
use FreshHuddle\App\Roster\Door\SetDoor;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Pictures;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use FreshHuddle\App\Roster\Student;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What the teacher does at the door.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID, 'guest' => Requirement::UUID])]
final readonly class DoorkeeperController
{
    public function __construct(
        private ClassAccess $classAccess,
        private ClassReader $views,
        private DoorWords $doorWords,
        private StudentDevices $devices,
        private Doorway $doorway,
        private Passes $passes,
        private Pictures $pictures,
        private EntityManagerInterface $em,
    ) {
    }

    /** Chooses how students join. */
    #[Route('/classes/{id}/door', methods: ['PATCH'])]
    public function set(#[CurrentUser] Teacher $teacher, string $id, #[Body] SetDoor $request): ClassView
    {
        $class = $this->classAccess->schoolClass($teacher, $id);
        $class->namesAtDoor = $request->names ?? $class->namesAtDoor;
        $class->cannotReadYet = $request->cannotReadYet ?? $class->cannotReadYet;
        $class->language = $request->language ?? $class->language;
        if ($class->cannotReadYet) {
            $this->pictures->give($class);
        }
        $class->door = $request->mode ?? $class->door;
        $class->twoDevices = $request->twoDevices ?? $class->twoDevices;
        $this->em->flush();

        return $this->views->view($class);
    }

    /** Gives the class new join words; the old ones no longer work. Whoever has joined stays. */
    #[Route('/classes/{id}/door-word', methods: ['POST'])]
    public function renewDoorWord(#[CurrentUser] Teacher $teacher, string $id): ClassView
    {
        $class = $this->classAccess->schoolClass($teacher, $id);
        $class->doorWord = $this->doorWords->fresh();
        $this->em->flush();

        return $this->views->view($class);
    }

    /** Makes all slips anew; the old ones no longer work. Whoever has joined stays. */
    #[Route('/classes/{id}/passes', methods: ['POST'])]
    public function renewPasses(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->passes->renew($this->classAccess->schoolClass($teacher, $id));
    }

    /** Makes one student's slip anew; the old one no longer works, and whoever has joined with it is out. */
    #[Route('/students/{id}/pass', methods: ['POST'])]
    #[ForAssistants]
    public function renewPass(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->passes->renewOne($this->classAccess->student($teacher, $id));
    }

    /** Lets every student of the class join again. */
    #[Route('/classes/{id}/free', methods: ['POST'])]
    #[ForAssistants]
    public function freeAll(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->devices->freeAll($this->classAccess->schoolClass($teacher, $id));
    }

    /** Lets a student join again on another device. */
    #[Route('/students/{id}/free', methods: ['POST'])]
    #[ForAssistants]
    public function free(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->devices->free($this->classAccess->student($teacher, $id));
    }

    /** Says that whoever joined under this name is another student of the class. */
    #[Route('/students/{id}/is', methods: ['POST'])]
    #[ForAssistants]
    public function correct(#[CurrentUser] Teacher $teacher, string $id, #[Body] ThisIs $request): void
    {
        $student = $this->classAccess->student($teacher, $id);
        $other =
            $this->em
                ->getRepository(Student::class)
                ->findOneBy(['id' => $request->student, 'class' => $student->class, 'removedAt' => null]) ??
            throw RosterRefused::unusable('roster.not_on_list', 'student');
        $this->devices->correct($student, $other);
    }

    /** Lets somebody who waits join as this student. */
    #[Route('/classes/{id}/doorway/{guest}', methods: ['POST'])]
    #[ForAssistants]
    public function thisIs(#[CurrentUser] Teacher $teacher, string $id, string $guest, #[Body] ThisIs $request): void
    {
        $this->doorway->thisIs($this->classAccess->schoolClass($teacher, $id), $guest, $request->student);
    }

    /** Sends somebody who waits away. */
    #[Route('/classes/{id}/doorway/{guest}', methods: ['DELETE'])]
    #[ForAssistants]
    public function notNow(#[CurrentUser] Teacher $teacher, string $id, string $guest): void
    {
        $this->doorway->notNow($this->classAccess->schoolClass($teacher, $id), $guest);
    }

    /** Lets everyone join who is clearly on the list. */
    #[Route('/classes/{id}/doorway', methods: ['POST'])]
    #[ForAssistants]
    public function letAllIn(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->doorway->letAllIn($this->classAccess->schoolClass($teacher, $id));
    }

    /** Keeps out everyone who isn't on the list, for the rest of the day or until this is taken back. */
    #[Route('/classes/{id}/doorway/strangers', methods: ['DELETE'])]
    #[ForAssistants]
    public function shutOut(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->doorway->shutOut($this->classAccess->schoolClass($teacher, $id));
    }

    /** Lets people who aren't on the list wait again. */
    #[Route('/classes/{id}/doorway/strangers', methods: ['POST'])]
    #[ForAssistants]
    public function letStrangersWait(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->doorway->letStrangersWait($this->classAccess->schoolClass($teacher, $id));
    }

    /** Lets somebody who isn't on the list take part as a guest. */
    #[Route('/classes/{id}/doorway/{guest}/guest', methods: ['POST'])]
    #[ForAssistants]
    public function guest(#[CurrentUser] Teacher $teacher, string $id, string $guest): void
    {
        $this->doorway->asGuest($this->classAccess->schoolClass($teacher, $id), $guest);
    }
}
