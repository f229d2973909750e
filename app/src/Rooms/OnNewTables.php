<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Lesson\LessonRepository;
use FreshHuddle\Core\Rooms\RoomPurpose;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A group that comes about while groups are out gets its room at once, where the others have theirs.
 */
#[AsEventListener]
final readonly class OnNewTables
{
    public function __construct(
        private LessonRepository $lessons,
        private RoundRooms $ofRound,
        private RoomReader $reader,
        private RoomStarter $rooms,
        private Clock $clock,
    ) {
    }

    public function __invoke(FloorChanged $event): void
    {
        $new = $event->newTables();
        foreach ([] === $new ? [] : $this->lessons->roundsIn($event->groupingId) as $round) {
            if (!$round->state()->phase($this->clock->ms())->isUnderWay()) {
                continue;
            }
            $class = $round->lesson->class->id;
            $has = array_filter(
                $this->reader->ofRound($event->groupingId, $class, $event->before),
                static fn (RoomView $room): bool => RoomPurpose::Group === $room->purpose && $room->state->hasLink(),
            );
            if ([] === $has) {
                continue;
            }
            $this->ofRound->plan($round);
            foreach ($this->reader->ofRound($event->groupingId, $class, $event->after) as $room) {
                if (null !== $room->groupId && \in_array($room->groupId, $new, true) && !$room->state->hasLink()) {
                    $this->rooms->begin($room->id, $room->source);
                }
            }
        }
    }
}
