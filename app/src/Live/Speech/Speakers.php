<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Own\OwnRooms;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\Uid\Uuid;

/**
 * Who may speak in the main session: everybody, or, once the teacher has muted it, whoever she gives the microphone.
 * Pages do as they are told; for those that do not, the media server sends on nothing of what they say.
 */
final readonly class Speakers
{
    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private SpeechStore $speech,
        private OwnRooms $rooms,
        private Tasks $tasks,
        private Stream $stream,
        private Clock $clock,
    ) {
    }

    public function view(Lesson $lesson): SpeakingView
    {
        $speaking = $this->em->find(Speaking::class, $lesson->id);
        $asking = true === $speaking?->isMuted
            ? $this->em
                ->getRepository(SpeakingWish::class)
                ->findBy(['lesson' => $lesson], ['at' => 'ASC', 'student' => 'ASC'])
            : [];

        return new SpeakingView(
            $speaking->isMuted ?? false,
            $speaking?->speaker?->id,
            array_map(static fn (SpeakingWish $wish): string => $wish->student->id, $asking),
        );
    }

    /**
     * Whoever is given the microphone asks for it no more.
     *
     * @throws LiveRefused if the lesson is over, or the student is not in its class
     */
    public function set(Lesson $lesson, SaveSpeaking $request): void
    {
        $this->transaction->run(function () use ($lesson, $request): void {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
            if (null !== $lesson->endedAt) {
                throw LiveRefused::unusable('live.lesson_is_over');
            }
            $id = $request->speaker ?? '';
            $speaker = Uuid::isValid($id) ? $this->em->find(Student::class, $id) : null;
            if (null !== $request->speaker && ($speaker?->class !== $lesson->class || null !== $speaker->removedAt)) {
                throw LiveRefused::unusable('live.no_such_student', 'speaker');
            }
            $speaking = $this->em->find(Speaking::class, $lesson->id) ?? new Speaking($lesson);
            $speaking->isMuted = $request->muted;
            $speaking->speaker = $request->muted ? $speaker : null;
            $this->em->persist($speaking);
            $this->forgetWishes($lesson, $request->muted ? $speaker : null);
            $this->tell($lesson);
        });
    }

    /**
     * @throws LiveRefused if everybody may speak
     */
    public function ask(StudentUser $student, bool $asks): void
    {
        $lesson = null === $student->lessonId ? null : $this->em->find(Lesson::class, $student->lessonId);
        if (null === $lesson) {
            throw LiveRefused::outdated('live.no_room_now');
        }
        $this->transaction->run(function () use ($lesson, $student, $asks): void {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
            $speaking = $this->em->find(Speaking::class, $lesson->id);
            if (true !== $speaking?->isMuted) {
                throw LiveRefused::outdated('live.not_muted');
            }
            $who = $this->em->getReference(Student::class, $student->id);
            $wish = $this->em->find(SpeakingWish::class, ['lesson' => $lesson->id, 'student' => $student->id]);
            if ($asks && null === $wish && null !== $who && $speaking->speaker !== $who) {
                $this->em->persist(new SpeakingWish($lesson, $who, $this->clock->ms()));
            } elseif (!$asks && null !== $wish) {
                $this->em->remove($wish);
            }
            $this->stream->publish([Audience::staff($lesson->id)], new LessonHint());
            $this->stream->publish([Audience::student($student->id)], new RefreshHint());
        });
    }

    /**
     * The lesson goes on, or is over: everybody may speak again, where they are.
     */
    public function reset(Lesson $lesson): void
    {
        $speaking = $this->em->find(Speaking::class, $lesson->id);
        if (null === $speaking) {
            return;
        }
        $this->em->remove($speaking);
        $this->forgetWishes($lesson, null);
        $this->tell($lesson);
    }

    /**
     * Has the media server send on what those may say who may speak, and nothing of the others. Safe to do twice.
     *
     * @throws MeetingServiceFailed
     */
    public function enforce(Lesson $lesson): void
    {
        $speaking = $this->em->find(Speaking::class, $lesson->id);
        foreach ($this->speech->inMainSession($lesson->class->id) as $microphone) {
            $this->rooms->mute(
                $microphone['room'],
                $microphone['student'],
                $microphone['sounds'],
                true === $speaking?->isMuted && $speaking->speaker?->id !== $microphone['student'],
            );
        }
    }

    public function isMuted(Lesson $lesson): bool
    {
        return true === $this->em->find(Speaking::class, $lesson->id)?->isMuted;
    }

    private function forgetWishes(Lesson $lesson, ?Student $but): void
    {
        $query = 'DELETE FROM '.SpeakingWish::class.' w WHERE w.lesson = :lesson';
        null === $but
            ? $this->em->createQuery($query)->execute(['lesson' => $lesson])
            : $this->em
                ->createQuery($query.' AND w.student = :student')
                ->execute(['lesson' => $lesson, 'student' => $but]);
    }

    private function tell(Lesson $lesson): void
    {
        $this->tasks->schedule(MuteTaskHandler::MUTE, $lesson->id);
        $this->stream->publish([Audience::everybody($lesson->id)], new RefreshHint());
        $this->stream->publish([Audience::staff($lesson->id)], new LessonHint());
    }
}
