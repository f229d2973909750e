<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Live\Admission\ExpectedPlaces;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Rooms\RoomFinder;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Roster\Staff\StaffRole;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Rooms\MainSession;
use Symfony\Component\Uid\Uuid;

/**
 * Recordings of rooms of our own: begun and ended by the teacher, where the class allows it, and never without telling
 * those who are in the room.
 */
final readonly class Recordings
{
    private const DAY = 86_400_000;

    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private RoomFinder $rooms,
        private RoomSources $sources,
        private ExpectedPlaces $places,
        private Staff $staff,
        private Tasks $tasks,
        private Stream $stream,
        private Clock $clock,
    ) {
    }

    public function view(Lesson $lesson, Teacher $for): RecordingsView
    {
        return new RecordingsView(
            $this->sources->forClass($lesson->class)->recordingDays,
            StaffRole::Assistant !== $this->staff->role($for, $lesson->class),
            array_map(
                self::one(...),
                $this->em
                    ->getRepository(Recording::class)
                    ->findBy(['lesson' => $lesson], ['startedAt' => 'DESC', 'id' => 'DESC']),
            ),
        );
    }

    public function isRunning(string $room): bool
    {
        return null !== $this->running($room);
    }

    /**
     * Pressed twice, it is one recording.
     *
     * @param string $place `main`, or the id of a group or a side room
     *
     * @throws LiveRefused if rooms of this class are not recorded, the lesson is over, or nobody has a room there
     */
    public function begin(Lesson $lesson, string $place): void
    {
        $this->transaction->run(function () use ($lesson, $place): void {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
            $room = $this->rooms->atPlace($lesson->class, $place);
            if (null === $room?->externalId || !$room->source->isHere()) {
                throw LiveRefused::missing('live.no_such_place');
            }
            if (0 === $this->sources->forClass($lesson->class)->recordingDays) {
                throw LiveRefused::unusable('live.not_recorded');
            }
            if (null !== $lesson->endedAt || $lesson->class->currentLessonId !== $lesson->id) {
                throw LiveRefused::unusable('live.lesson_is_over');
            }
            if ($this->isRunning($room->externalId)) {
                return;
            }
            $recording = new Recording(
                Uuid::v7()->toRfc4122(),
                $lesson,
                $place,
                MainSession::PLACE === $place ? '' : mb_substr($room->group->name ?? $room->name, 0, 120),
                $room->externalId,
                $this->clock->ms(),
            );
            $this->em->persist($recording);
            $this->tasks->schedule(RecordingTaskHandler::RECORD, $recording->id);
            $this->tell($recording, true);
        });
    }

    /**
     * @param string|null $place null: wherever one is running
     */
    public function end(Lesson $lesson, ?string $place = null): void
    {
        $this->transaction->run(function () use ($lesson, $place): void {
            $which =
                ['lesson' => $lesson, 'state' => RecordingState::Running] +
                (null === $place ? [] : ['place' => $place]);
            foreach ($this->em->getRepository(Recording::class)->findBy($which) as $recording) {
                $this->em->refresh($recording, LockMode::PESSIMISTIC_WRITE);
                if (RecordingState::Running !== $recording->state) {
                    continue;
                }
                $days = max(1, $this->sources->forClass($lesson->class)->recordingDays);
                $recording->state = RecordingState::Making;
                $recording->endedAt = $this->clock->ms();
                $recording->expiresAt = $recording->endedAt + $days * self::DAY;
                $this->tasks->schedule(RecordingTaskHandler::RECORD, $recording->id);
                $this->tell($recording, false);
            }
        });
    }

    /**
     * Of a class that records nothing any more, no recording goes on.
     */
    public function endUnwanted(string $lessonId): void
    {
        $lesson = $this->em->find(Lesson::class, $lessonId);
        if (null !== $lesson && 0 === $this->sources->forClass($lesson->class)->recordingDays) {
            $this->end($lesson);
        }
    }

    /**
     * What was made of it.
     *
     * @param string|null $file in the file store; null: nothing
     */
    public function made(Recording $recording, RecordingState $state, ?string $file = null, int $bytes = 0): void
    {
        $this->transaction->run(function () use ($recording, $state, $file, $bytes): void {
            $this->em->refresh($recording, LockMode::PESSIMISTIC_WRITE);
            $recording->state = $state;
            $recording->file = $file;
            $recording->bytes = $bytes;
            $this->stream->publish(
                [Audience::staff($recording->lesson->id)],
                new RecordingMessage($recording->place, false),
            );
        });
    }

    /**
     * What is said of it goes now; its bytes as soon as the file store is there.
     */
    public function remove(Recording $recording): void
    {
        $this->transaction->run(function () use ($recording): void {
            if (null !== $recording->file) {
                $this->tasks->schedule(RecordingTaskHandler::DROP, $recording->file);
            }
            $this->em->remove($recording);
        });
    }

    public function running(string $room): ?Recording
    {
        return $this->em
            ->getRepository(Recording::class)
            ->findOneBy(['room' => $room, 'state' => RecordingState::Running]);
    }

    private function tell(Recording $recording, bool $on): void
    {
        $lesson = $recording->lesson;
        $this->stream->publish(
            [Audience::staff($lesson->id), ...$this->places->audience($lesson, $recording->place)],
            new RecordingMessage($recording->place, $on),
        );
    }

    private static function one(Recording $recording): RecordingView
    {
        return new RecordingView(
            $recording->id,
            $recording->state,
            $recording->place,
            $recording->name,
            $recording->startedAt,
            $recording->endedAt,
            $recording->expiresAt,
            $recording->bytes,
        );
    }
}
