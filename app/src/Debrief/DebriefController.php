<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Debrief\Calling\CallOn;
use FreshHuddle\App\Debrief\Calling\Calls;
use FreshHuddle\App\Debrief\Calling\MarkCall;
use FreshHuddle\App\Debrief\HoldUp\EditShown;
use FreshHuddle\App\Debrief\HoldUp\HoldUps;
use FreshHuddle\App\Debrief\HoldUp\HoldUpWork;
use FreshHuddle\App\Debrief\HoldUp\ShowSum;
use FreshHuddle\App\Debrief\Question\AskQuestion;
use FreshHuddle\App\Debrief\Question\EditQuestion;
use FreshHuddle\App\Debrief\Question\ExitQuestions;
use FreshHuddle\App\Debrief\Question\Questions;
use FreshHuddle\App\Debrief\ShareOut\ArrangeTurns;
use FreshHuddle\App\Debrief\ShareOut\BeginTurn;
use FreshHuddle\App\Debrief\ShareOut\EditTurn;
use FreshHuddle\App\Debrief\ShareOut\ShareOuts;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Materials\HandOut\Copy\CopyAccess;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use FreshHuddle\Core\Lesson\Actor;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Talking about the work: who reports, what is shown, who is called on.
 */
#[Route(
    '/api/staff/lessons/{id}/debrief',
    requirements: [
        'id' => Requirement::UUID,
        'turn' => Requirement::UUID,
        'call' => Requirement::UUID,
        'question' => Requirement::UUID,
    ],
)]
final readonly class DebriefController
{
    public function __construct(
        private LessonAccess $lessons,
        private CopyAccess $copies,
        private DebriefViewBuilder $views,
        private ShareOuts $shareOuts,
        private HoldUps $holdUps,
        private Calls $calls,
        private Questions $questions,
        private ExitQuestions $exits,
    ) {
    }

    /** Shows who reports, what is shown to everybody and who was called on. */
    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): DebriefView
    {
        return $this->views->view($this->lessons->lesson($teacher, $id));
    }

    /** Puts the groups of a share-out in order. */
    #[Route('/turns', methods: ['PUT'])]
    #[ForAssistants]
    public function arrange(#[CurrentUser] Teacher $teacher, string $id, #[Body] ArrangeTurns $request): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->shareOuts->arrange($lesson, $request, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Goes on to the next group, or to a certain one. */
    #[Route('/turns', methods: ['POST'])]
    #[ForAssistants]
    public function begin(#[CurrentUser] Teacher $teacher, string $id, #[Body] BeginTurn $request): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->shareOuts->begin($lesson, $request, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Gives a group more or less time. */
    #[Route('/turns/{turn}', methods: ['PATCH'])]
    #[ForAssistants]
    public function editTurn(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        string $turn,
        #[Body]
        EditTurn $request,
    ): DebriefView {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->shareOuts->edit($lesson, $turn, $request, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Shows a piece of work to everybody. */
    #[Route('/shown', methods: ['POST'])]
    #[ForAssistants]
    public function holdUp(#[CurrentUser] Teacher $teacher, string $id, #[Body] HoldUpWork $request): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->holdUps->show($lesson, $teacher, $this->copies->copy($teacher, $request->copy), $request);

        return $this->views->view($lesson);
    }

    /** Shows a sum over all groups to everybody. */
    #[Route('/shown/sum', methods: ['POST'])]
    #[ForAssistants]
    public function showSum(#[CurrentUser] Teacher $teacher, string $id, #[Body] ShowSum $request): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->holdUps->showSum($lesson, $teacher, $this->lessons->round($teacher, $request->round), $request);

        return $this->views->view($lesson);
    }

    /** Changes how work is shown: with names, frozen, what is pointed at. */
    #[Route('/shown', methods: ['PATCH'])]
    #[ForAssistants]
    public function editShown(#[CurrentUser] Teacher $teacher, string $id, #[Body] EditShown $request): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->holdUps->edit($lesson, $request, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Puts down what is shown to everybody. */
    #[Route('/shown', methods: ['DELETE'])]
    #[ForAssistants]
    public function putDown(#[CurrentUser] Teacher $teacher, string $id): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->holdUps->putDown($lesson, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Calls on somebody, fairly. */
    #[Route('/calls', methods: ['POST'])]
    #[ForAssistants]
    public function callOn(#[CurrentUser] Teacher $teacher, string $id, #[Body] CallOn $request): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->calls->callOn($lesson, $request, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Says what came of calling on somebody. */
    #[Route('/calls/{call}', methods: ['PATCH'])]
    #[ForAssistants]
    public function markCall(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        string $call,
        #[Body]
        MarkCall $request,
    ): DebriefView {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->calls->mark($lesson, $call, $request->state, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Asks everybody a quick question. */
    #[Route('/questions', methods: ['POST'])]
    #[ForAssistants]
    public function ask(#[CurrentUser] Teacher $teacher, string $id, #[Body] AskQuestion $request): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->questions->ask($lesson, $request, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Makes an exit question of a quick one, for everybody to answer alone. */
    #[Route('/questions/{question}/exit', methods: ['POST'])]
    public function makeExit(#[CurrentUser] Teacher $teacher, string $id, string $question): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->exits->make($teacher, $lesson, $question);

        return $this->views->view($lesson);
    }

    /** Closes a quick question, or shows what was answered. */
    #[Route('/questions/{question}', methods: ['PATCH'])]
    #[ForAssistants]
    public function editQuestion(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        string $question,
        #[Body]
        EditQuestion $request,
    ): DebriefView {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->questions->edit($lesson, $question, $request, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }
}
