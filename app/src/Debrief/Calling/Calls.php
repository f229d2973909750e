<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Calling;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Debrief\Debrief;
use FreshHuddle\App\Debrief\DebriefChanger;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Debrief\Calling\FairDraw;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use Symfony\Component\Uid\Uuid;

/**
 * Calls on students, fairly.
 */
final readonly class Calls
{
    public function __construct(
        private EntityManagerInterface $em,
        private DebriefChanger $changer,
        private CandidateReader $candidates,
        private NowReader $now,
        private PresentStudents $present,
    ) {
    }

    /**
     * @throws DebriefRefused if there is nobody to call on
     */
    public function callOn(Lesson $lesson, CallOn $request, Actor $actor): void
    {
        $this->changer->change($lesson, $actor, function (Debrief $debrief, int $now) use ($lesson, $request): ?array {
            $calls = $this->forLesson($lesson);
            if (\count($calls) !== $request->last) {
                return null; // pressed twice, or by two
            }
            $drawn = FairDraw::draw(
                $this->candidates->candidates($lesson->id, $this->meant($lesson, $request)),
                $this->candidates->last($lesson->class->id),
                random_int(0, \PHP_INT_MAX),
            );
            $student = null === $drawn ? null : $this->em->find(Student::class, $drawn);
            if (null === $student) {
                throw DebriefRefused::unusable('debrief.nobody_to_call');
            }
            $debrief->showsCalled = $request->shown ?? $debrief->showsCalled;
            foreach ($calls as $call) {
                $call->current = false;
            }
            $this->em->persist(
                new StudentCall(Uuid::v7()->toRfc4122(), $lesson, \count($calls) + 1, $student, $now),
            );

            return [new Event(EventKind::CalledOn, $now, ['student' => $student->id], [$student->id])];
        });
    }

    /**
     * What came of it: said again, the last word counts.
     *
     * @throws DebriefRefused if there was no such call in this lesson
     */
    public function mark(Lesson $lesson, string $callId, CallState $state, Actor $actor): void
    {
        $this->changer->change($lesson, $actor, function (Debrief $debrief, int $now) use (
            $lesson,
            $callId,
            $state,
        ): array {
            $call = $this->em->find(StudentCall::class, $callId);
            if ($call?->lesson !== $lesson || CallState::Asked === $state) {
                throw DebriefRefused::missing();
            }
            $call->current = false;
            if ($call->state === $state) {
                return [];
            }
            $call->state = $state;
            $kind = CallState::Passed === $state ? EventKind::CallPassed : EventKind::CallAnswered;

            return [
                new Event($kind, $now, ['student' => $call->student->id, 'number' => $call->number], [
                    $call->student->id,
                ]),
            ];
        });
    }

    /**
     * Nobody is asked any more, while the lesson is held.
     */
    public function clear(Lesson $lesson): bool
    {
        $open = array_filter($this->forLesson($lesson), static fn (StudentCall $call): bool => $call->current);
        foreach ($open as $call) {
            $call->current = false;
        }

        return [] !== $open;
    }

    /**
     * @return list<StudentCall> in the order in which they were called on
     */
    public function forLesson(Lesson $lesson): array
    {
        return $this->em
            ->getRepository(StudentCall::class)
            ->findBy(['lesson' => $lesson], ['number' => 'ASC']);
    }

    /**
     * @return list<string> whoever is here and meant
     */
    private function meant(Lesson $lesson, CallOn $request): array
    {
        $here = $this->present->inLesson($lesson->id);
        if (null === $request->group && '' === $request->role) {
            return $here;
        }
        $round = $this->now->forLesson($lesson->id)?->roundId;
        $seats = null === $round ? [] : $this->candidates->seats($round);

        return array_values(
            array_filter(
                $here,
                static fn (string $student): bool => isset($seats[$student])
                    && \in_array($request->group, [null, $seats[$student]['group']], true)
                    && \in_array($request->role, ['', $seats[$student]['role']], true),
            ),
        );
    }
}
