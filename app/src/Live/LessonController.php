<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Roster\ClassAccess;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class LessonController
{
    public function __construct(
        private LessonDesk $desk,
        private LiveLesson $live,
        private ClassAccess $classAccess,
        private LessonAccess $lessonAccess,
        private EntityManagerInterface $em,
    ) {
    }

    #[Route('/classes/{id}/lessons', methods: ['POST'])]
    public function make(#[CurrentUser] Teacher $teacher, string $id, #[Body] MakeLesson $request): LessonView
    {
        $round = $this->desk->create($this->classAccess->schoolClass($teacher, $id), $request->title, $request->minutes);

        return $this->desk->view($round->lesson);
    }

    #[Route('/lessons/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): LessonView
    {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->desk->watched($lesson);

        return $this->desk->view($lesson);
    }

    #[Route('/lessons/{id}', methods: ['PATCH'])]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[Body] EditLesson $request): LessonView
    {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->desk->edit($lesson, $request);

        return $this->desk->view($lesson);
    }

    /** Students of the class are taken to this lesson from now on. */
    #[Route('/lessons/{id}/current', methods: ['POST'])]
    public function makeCurrent(#[CurrentUser] Teacher $teacher, string $id): LessonView
    {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->desk->makeCurrent($lesson);

        return $this->desk->view($lesson);
    }

    #[Route('/lessons/{id}/commands', methods: ['POST'])]
    public function command(#[CurrentUser] Teacher $teacher, string $id, #[Body] GiveCommand $request, Request $http): LessonView
    {
        $key = $http->headers->get('Idempotency-Key', '');
        if (1 !== preg_match('/^[A-Za-z0-9-]{8,64}$/D', $key)) {
            throw new Problem(400, 'A command needs an Idempotency-Key of 8 to 64 letters, digits or dashes.');
        }
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $round = $this->desk->roundOf($lesson);
        try {
            $this->live->carryOut($round, $request->command($round), $key, 'teacher:'.$teacher->id);
        } catch (CommandRefused $e) {
            throw new Problem(422, $e->getMessage());
        }
        $this->em->clear(); // the command wrote past it

        return $this->desk->view($this->lessonAccess->lesson($teacher, $id));
    }
}
