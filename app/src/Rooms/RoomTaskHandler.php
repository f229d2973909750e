<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Rooms\Event\MembersSet;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\Member\Membership;
use FreshHuddle\App\Rooms\Source\Sources;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\TryAgain;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Rooms\RoomState;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * Makes rooms at the meeting service and says who may enter them. The subject of a task is our id of the room.
 */
final readonly class RoomTaskHandler implements TaskHandler
{
    public const MAKE = 'makeRoom';
    public const MEMBERS = 'roomMembers';
    /** Those who may not enter any more are put out: some time after they were told where to go. */
    public const SHUT_OUT = 'roomShutOut';
    public const CHANGE = 'changeRoom';
    /** So long somebody who is moved may stay where they are, until the service has moved them. Milliseconds. */
    public const TIME_TO_GO = 10_000;
    /** With a task for members: those who are in it stay members for now. */
    public const KEEP = ['keep' => true];
    public const CLOSE = 'closeRoom';
    /** The subject is what the meeting service calls the room. */
    public const RETIRE = 'retireRoom';

    private const MOST_TRIES = 4;

    public function __construct(
        private EntityManagerInterface $em,
        private RoomStore $store,
        private Membership $membership,
        private RoomServices $services,
        private Sources $sources,
        private RoomOpener $opener,
        private EventDispatcherInterface $events,
        private Words $words,
    ) {
    }

    public static function kinds(): array
    {
        return [self::MAKE, self::MEMBERS, self::SHUT_OUT, self::CHANGE, self::CLOSE, self::RETIRE];
    }

    public function classOf(Task $task): ?string
    {
        $class = $task->data['class'] ?? null;

        return self::RETIRE === $task->kind
            ? (\is_string($class)
                ? $class
                : null)
            : $this->em->find(Room::class, $task->subject)?->class->id;
    }

    public function handle(Task $task): ?int
    {
        if (self::RETIRE === $task->kind) {
            $this->retire($task);

            return null;
        }
        $room = $this->em->find(Room::class, $task->subject);
        if (null === $room) {
            return null;
        }
        try {
            if (self::CHANGE === $task->kind) {
                $this->sources->get($room->source)->change($room);
            } elseif (self::CLOSE === $task->kind) {
                $this->opener->close($room);
            } else {
                $links = $this->membership->reconcile($room, true === ($task->data['keep'] ?? null));
                $this->em->refresh($room);
                if (null !== $room->externalId) {
                    $this->events->dispatch(
                        new MembersSet(
                            $room->externalId,
                            $room->grouping?->id,
                            $room->group?->id,
                            array_map(strval(...), array_keys($links)),
                        ),
                    );
                }
            }
        } catch (MeetingServiceFailed $e) {
            $this->failed($task, $room, $e);
        } catch (NoLinkYet $e) {
            $this->store->note($room->id, RoomState::Planned, $this->words->say($e->says));
        } catch (NotOnTheFloor) {
            return null; // the table was taken away meanwhile
        }
        $this->events->dispatch(RoomsChanged::forRoom($room));

        return null;
    }

    /**
     * @throws TryAgain
     * @throws GaveUp
     */
    private function retire(Task $task): void
    {
        try {
            $this->services->serviceFor($task->subject)->retire($task->subject);
        } catch (MeetingServiceFailed $e) {
            throw $e->tryAgain($task, self::MOST_TRIES, 500);
        }
    }

    private function failed(Task $task, Room $room, MeetingServiceFailed $failure): void
    {
        if ($failure->worthRetrying && $task->attempts < self::MOST_TRIES) {
            throw new TryAgain($failure->says, 500 * 2 ** $task->attempts);
        }
        // A room that was made before stays usable for those whom it knew.
        $this->store->note(
            $room->id,
            !$room->state->hasLink() ? RoomState::Failed : $room->state,
            $this->words->say($failure->says),
        );
    }
}
