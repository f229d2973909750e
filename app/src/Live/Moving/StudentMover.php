<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\Admission\RoomGuard;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\Member\Membership;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;

/**
 * Moves a student into the room they are expected in now.
 */
final readonly class StudentMover
{
    public function __construct(
        private EntityManagerInterface $em,
        private MoveStore $moves,
        private FloorStore $floors,
        private RoomReader $rooms,
        private RoomServices $services,
        private Membership $membership,
        private RoomGuard $guard,
        private Stream $stream,
        private Clock $clock,
    ) {
    }

    /**
     * @throws MeetingServiceFailed
     */
    public function move(Round $round, string $student): null
    {
        $this->em->refresh($round);
        $place = $this->moves
            ->forRound($round->id)
            ->expected(
                $student,
                $this->floors->now($round->grouping->id)->groupOf($student)?->id,
                $round->state()->state(),
                $this->clock->ms(),
            )->place;
        $made = $this->rooms->made($round->lesson->class->id);
        $external = null === $place ? null : array_flip($made)[$place] ?? null;
        if (null !== $external) {
            $this->admit($place);
            $this->services->move([$student => $external], array_map(strval(...), array_keys($made)));
        }
        $this->guard->check($round->lesson->class->id);
        $this->stream->publish([Audience::student($student)], new RefreshHint(true));

        return null;
    }

    /**
     * Before somebody can be moved into a side room it has to know them.
     *
     * @throws MeetingServiceFailed
     */
    private function admit(string $place): void
    {
        $room = \strlen($place) > 30 ? $this->em->find(Room::class, $place) : null;
        if (null !== $room) {
            try {
                $this->membership->reconcile($room);
            } catch (NoLinkYet) {
                return; // nobody can be moved there, and its page says where it is
            }
        }
    }
}
