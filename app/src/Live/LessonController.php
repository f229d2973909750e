<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\EditLesson;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Lesson\Lessons;
use FreshHuddle\App\Lesson\MakeLesson;
use FreshHuddle\App\Lesson\Order\MakeCurrent;
use FreshHuddle\App\Live\Command\GiveCommand;
use FreshHuddle\App\Live\Command\LessonCommandHandler;
use FreshHuddle\App\Live\Desk\LessonView;
use FreshHuddle\App\Live\Desk\LessonViewBuilder;
use FreshHuddle\App\Live\Desk\SignalsView;
use FreshHuddle\App\Roster\ClassAccess;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Message;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The lesson's page, and the commands given there.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class LessonController
{
    public function __construct(
        private Lessons $lessons,
        private LessonViewBuilder $desk,
        private LessonCommandHandler $live,
        private ClassAccess $classAccess,
        private LessonAccess $lessonAccess,
    ) {
    }

    /** Creates a lesson for a class, new or from another lesson or a template. */
    #[Route('/classes/{id}/lessons', methods: ['POST'])]
    public function make(#[CurrentUser] Teacher $teacher, string $id, #[Body] MakeLesson $request): LessonView
    {
        $class = $this->classAccess->schoolClass($teacher, $id);
        $from = null === $request->from ? null : $this->lessonAccess->lesson($teacher, $request->from);

        return $this->desk->view($this->lessons->create($class, $request, $from));
    }

    /** Shows a lesson with all that its page needs. */
    #[Route('/lessons/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): LessonView
    {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->lessons->watched($lesson);

        return $this->desk->view($lesson);
    }

    /** Shows a lesson with the groups of one of its segments. */
    #[Route('/lessons/{id}/segments/{segment}', requirements: ['segment' => Requirement::UUID], methods: ['GET'])]
    public function showSegment(#[CurrentUser] Teacher $teacher, string $id, string $segment): LessonView
    {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->lessons->watched($lesson);

        return $this->desk->view($lesson, $segment);
    }

    /** Shows how the groups of a round stand, and whom to visit next. */
    #[Route('/rounds/{id}/signals', methods: ['GET'])]
    public function showSignals(#[CurrentUser] Teacher $teacher, string $id): SignalsView
    {
        $round = $this->lessonAccess->round($teacher, $id);
        $this->lessons->watched($round->lesson);

        return $this->desk->signals($round);
    }

    /** Changes a lesson's title, time or settings. */
    #[Route('/lessons/{id}', methods: ['PATCH'])]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[Body] EditLesson $request): LessonView
    {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->lessons->edit($lesson, $request);

        return $this->desk->view($lesson);
    }

    /** Takes the students of the class to this lesson from now on. */
    #[Route('/lessons/{id}/current', methods: ['POST'])]
    #[ForAssistants]
    public function makeCurrent(#[CurrentUser] Teacher $teacher, string $id, #[Body] MakeCurrent $request): LessonView
    {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->lessons->makeCurrent($lesson, $request->leaving);

        return $this->desk->view($lesson);
    }

    /**
     * Carries out a command of the running lesson, such as sending out or calling back. With `Prefer: return=minimal`
     * (RFC 7240) the lesson isn't sent back.
     */
    #[Route('/lessons/{id}/commands', methods: ['POST'])]
    #[ForAssistants]
    public function command(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body]
        GiveCommand $request,
        Request $http,
    ): ?LessonView {
        $key = $http->headers->get('Idempotency-Key', '');
        if (1 !== preg_match('/^[A-Za-z0-9-]{8,64}$/D', $key)) {
            throw new Problem(400, new Message('http.idempotency_key'));
        }
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->live->carryOut(
            $lesson,
            $request,
            $key,
            hash('xxh128', $http->getContent()),
            Actor::teacher($teacher->id),
        );
        $isMinimal = 'return=minimal' === $http->headers->get('Prefer');

        return $isMinimal ? null : $this->desk->view($lesson);
    }
}
