<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\App\Worker\TryAgain;
use FreshHuddle\Core\Message;

/**
 * Has the media server record a room, or no longer; and makes one file of what it has kept.
 */
final readonly class RecordingTaskHandler implements TaskHandler
{
    /** The subject is the recording's id. */
    public const RECORD = 'recordRoom';
    public const MAKE = 'makeRecording';
    /** The subject is a name in the file store. */
    public const DROP = 'dropRecording';

    private const MOST_TRIES = 6;
    /** Another one is being made: milliseconds until the next look. */
    private const BUSY = 15_000;
    /** The file store is away: milliseconds until the next try to throw something away. */
    private const AWAY = 600_000;

    public function __construct(
        private EntityManagerInterface $em,
        private Recordings $recordings,
        private RoomServices $services,
        private Mixer $mixer,
        private FileStore $store,
        private Tasks $tasks,
        private Clock $clock,
    ) {
    }

    public static function kinds(): array
    {
        return [self::RECORD, self::MAKE, self::DROP];
    }

    public function classOf(Task $task): ?string
    {
        return $this->recording($task)?->lesson->class->id;
    }

    public function handle(Task $task): ?int
    {
        if (self::DROP === $task->kind) {
            return $this->drop($task->subject);
        }
        $recording = $this->recording($task);
        if (null !== $recording) {
            self::RECORD === $task->kind ? $this->record($recording, $task) : $this->make($recording, $task);
        }

        return null;
    }

    private function drop(string $file): ?int
    {
        try {
            $this->store->drop($file);
        } catch (FileAway) {
            return $this->clock->ms() + self::AWAY;
        }

        return null;
    }

    /** The media server does as is wanted now, however often and in whatever order this is asked. */
    private function record(Recording $recording, Task $task): void
    {
        try {
            $this->services
                ->serviceFor($recording->room)
                ->record($recording->room, null !== $this->recordings->running($recording->room));
        } catch (MeetingServiceFailed $e) {
            if (!$e->missing) {
                throw $e->tryAgain($task, self::MOST_TRIES, 300);
            }
            // Nobody is in the room, so nothing is said there; whoever comes finds it recorded (OnRoomOpened).
        }
        if (RecordingState::Making === $recording->state) {
            $this->tasks->schedule(self::MAKE, $recording->id);
        }
    }

    private function make(Recording $recording, Task $task): void
    {
        if (RecordingState::Making !== $recording->state) {
            return;
        }
        try {
            // An hour of a class takes minutes, and a task that takes so long is claimed again meanwhile.
            $lock = $this->mixer->lock();
            if (null === $lock) {
                $this->tasks->schedule(self::MAKE, $recording->id, $this->clock->ms() + self::BUSY);

                return;
            }
            $this->mix($recording);
            fclose($lock);
        } catch (MixingFailed|FileAway) {
            if ($task->attempts >= self::MOST_TRIES) {
                $this->recordings->made($recording, RecordingState::Failed);

                return;
            }
            throw new TryAgain(new Message('live.recording_not_made'), 5_000 * 2 ** $task->attempts);
        }
    }

    /**
     * @throws MixingFailed
     * @throws FileAway
     */
    private function mix(Recording $recording): void
    {
        $ended = $recording->endedAt ?? $recording->startedAt;
        $sound = $this->mixer->mix($recording->room, $recording->startedAt, $ended);
        if (null === $sound) {
            $this->recordings->made($recording, RecordingState::Silent);
        } else {
            $key = 'recording'.str_replace('-', '', $recording->id);
            $this->store->put($key, $sound);
            $this->recordings->made($recording, RecordingState::Ready, $key, \strlen($sound));
        }
        $this->mixer->forget($recording->room, $recording->startedAt, $ended);
    }

    private function recording(Task $task): ?Recording
    {
        $recording = self::DROP === $task->kind ? null : $this->em->find(Recording::class, $task->subject);
        if (null !== $recording) {
            $this->em->refresh($recording);
        }

        return $recording;
    }
}
