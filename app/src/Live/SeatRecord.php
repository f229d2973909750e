<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Lesson\Run\RunStore;
use FreshHuddle\App\Rooms\Run\RunRoomStore;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use Symfony\Bundle\SecurityBundle\Security;

/**
 * Keeps in the record of a round who was given another seat while it is under way.
 */
final readonly class SeatRecord
{
    public function __construct(
        private EventStore $events,
        private Projections $projections,
        private Security $security,
        private RunReader $runReader,
        private RunStore $runs,
        private RunRoomStore $runRooms,
        private Transaction $transaction,
    ) {
    }

    /**
     * @param int          $now       milliseconds since 1970
     * @param list<string> $concerned everybody at the tables that changed
     */
    public function seatsChanged(Round $round, FloorChanged $event, int $now, array $concerned): void
    {
        $moves = self::moves($event->before, $event->after, $now, $concerned);
        $this->transaction->run(function () use ($round, $moves): void {
            $this->events->lock($round->lesson->id);
            $this->follow($round);
            if ([] !== $moves) {
                $this->events->append($round->lesson->id, $round->id, $this->actor(), $moves);
                $this->projections->follow($round->id, $moves);
            }
        });
    }

    private function follow(Round $round): void
    {
        $run = $this->runReader->lastRun($round->id);
        if (null !== $run) {
            $this->runs->follow($run);
            $this->runRooms->follow($run);
        }
    }

    private function actor(): Actor
    {
        $user = $this->security->getUser();

        return match (true) {
            $user instanceof Teacher => Actor::teacher($user->id),
            $user instanceof StudentUser => Actor::student($user->id),
            default => Actor::clock(),
        };
    }

    /**
     * @param int          $now       milliseconds since 1970
     * @param list<string> $concerned everybody at the tables that changed
     *
     * @return list<Event> one for each student who sits elsewhere than before; no group is the shelf
     */
    private static function moves(Floor $before, Floor $after, int $now, array $concerned): array
    {
        $events = [];
        foreach (array_values(array_unique([...$before->seated(), ...$after->seated()])) as $student) {
            [$from, $to] = [$before->groupOf($student)?->id, $after->groupOf($student)?->id];
            if ($from !== $to) {
                $events[] = (new Event(EventKind::SeatsChanged, $now, [
                    'student' => $student,
                    'fromGroup' => $from,
                    'toGroup' => $to,
                ]))->addressed($concerned);
            }
        }

        return $events;
    }
}
