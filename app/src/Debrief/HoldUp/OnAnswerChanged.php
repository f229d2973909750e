<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Materials\Event\AnswerChanged;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * What is shown follows what is written, a few times a second at most. By hand: every save asks.
 */
#[AsEventListener]
final readonly class OnAnswerChanged
{
    /** Milliseconds. */
    private const TOGETHER = 400;

    public function __construct(private Connection $db, private Tasks $tasks, private Clock $clock)
    {
    }

    public function __invoke(AnswerChanged $event): void
    {
        $lessons = $this->db->fetchFirstColumn(
            'SELECT lesson_id FROM held_up WHERE copy_id = ? AND frozen IS NULL AND COALESCE(slot, ?) = ?
                AND COALESCE(owner, ?) = ?',
            [$event->copy, $event->slot, $event->slot, $event->owner, $event->owner],
        );
        foreach ($lessons as $lesson) {
            \assert(\is_string($lesson));
            $this->tasks->scheduleOnce(ShownTaskHandler::TELL, $lesson, $this->clock->ms() + self::TOGETHER);
        }
    }
}
