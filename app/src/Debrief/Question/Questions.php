<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Debrief\Debrief;
use FreshHuddle\App\Debrief\DebriefChanger;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Debrief\TellTaskHandler;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Debrief\Exception\UnusableQuestion;
use FreshHuddle\Core\Debrief\Question\Question;
use FreshHuddle\Core\Debrief\Question\QuestionKind;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Materials\Exception\UnusableValue;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Quick questions to everybody, one at a time.
 */
final readonly class Questions
{
    /** What comes in within so many milliseconds is told together. */
    private const TOGETHER = 500;

    public function __construct(
        private EntityManagerInterface $em,
        private DebriefChanger $changer,
        private QuestionReader $reader,
        private AnswerStore $answers,
        private Tasks $tasks,
        private Clock $clock,
        #[Target('saves')]
        private RateLimiterFactoryInterface $saves,
    ) {
    }

    /**
     * @throws DebriefRefused if nobody could answer it
     */
    public function ask(Lesson $lesson, AskQuestion $request, Actor $actor): void
    {
        try {
            $question = new Question($request->kind, $request->text, $request->choices);
        } catch (UnusableQuestion $e) {
            throw DebriefRefused::because($e->says, '' === trim($request->text) ? 'text' : null);
        }
        $this->changer->change($lesson, $actor, function (Debrief $debrief, int $now) use ($lesson, $question): array {
            $last = $this->reader->last($lesson->id);
            if (null !== $last) {
                $last->closedAt ??= $now;
                $last->shown = false;
            }
            $this->em->persist(
                new QuickQuestion(
                    Uuid::v7()->toRfc4122(),
                    $lesson,
                    1 + ($last->number ?? 0),
                    $question->kind,
                    $question->text,
                    $question->choices,
                    $now,
                ),
            );

            return [new Event(EventKind::QuestionAsked, $now, ['text' => $question->text])];
        });
    }

    /**
     * @throws DebriefRefused if it is not the last one that was asked
     */
    public function edit(Lesson $lesson, string $id, EditQuestion $request, Actor $actor): void
    {
        $this->changer->change($lesson, $actor, function (Debrief $debrief, int $now) use (
            $lesson,
            $id,
            $request,
        ): array {
            $question = $this->reader->last($lesson->id);
            if ($question?->id !== $id) {
                throw DebriefRefused::missing();
            }
            if (null !== $request->open) {
                $question->closedAt = $request->open ? null : $question->closedAt ?? $now;
            }
            $question->shown = $request->shown ?? $question->shown;

            return [];
        });
    }

    /**
     * Nothing is asked any more, and nothing of it shown; the lesson is held.
     *
     * @param int $now milliseconds since 1970
     *
     * @return bool whether anything was
     */
    public function stop(Lesson $lesson, int $now): bool
    {
        $question = $this->reader->last($lesson->id);
        if (null === $question || (null !== $question->closedAt && !$question->shown)) {
            return false;
        }
        $question->closedAt ??= $now;
        $question->shown = false;

        return true;
    }

    /**
     * @throws DebriefRefused if it is closed, not theirs to answer, or that is no answer to it
     */
    public function answer(string $id, string $studentId, string $lessonId, string $answer): void
    {
        $question = $this->find($id, $lessonId);
        if (!$this->saves->create($studentId)->consume()->isAccepted()) {
            throw DebriefRefused::tooMuch('materials.too_much', null, 2);
        }
        try {
            $value = $question->question()->read($answer);
        } catch (UnusableValue $e) {
            throw DebriefRefused::because($e->says, 'answer');
        }
        if (!$this->answers->put($question->id, $studentId, $value, $this->clock->ms())) {
            throw DebriefRefused::outdated('debrief.question.closed');
        }
        $this->tasks->scheduleOnce(TellTaskHandler::ANSWERS, $lessonId, $this->clock->ms() + self::TOGETHER);
    }

    /**
     * @throws DebriefRefused if it is not theirs to answer
     */
    public function mine(string $id, string $studentId, string $lessonId): MyAnswer
    {
        $question = $this->find($id, $lessonId);
        $value = $this->answers->find($question->id, $studentId);
        if (null === $value || QuestionKind::Choice !== $question->kind) {
            return new MyAnswer($value);
        }
        $chosen = array_search(true, (array) json_decode($value, true), true);

        return new MyAnswer(\is_string($chosen) ? $question->choices[(int) substr($chosen, 1) - 1] ?? null : null);
    }

    /**
     * @throws DebriefRefused if there is no such question in this lesson, or it is closed
     */
    private function find(string $id, string $lessonId): QuickQuestion
    {
        $question = $this->reader->last($lessonId);

        return $question?->id === $id && null === $question->closedAt ? $question : throw DebriefRefused::missing();
    }
}
