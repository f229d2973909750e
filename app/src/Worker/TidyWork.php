<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Live\LessonClock;

/**
 * Lets go of what was kept only so that something sent twice counts once, and of sessions that have run out.
 */
final readonly class TidyWork implements TaskHandler
{
    public const TIDY = 'tidy';

    private const EVERY = 3_600_000;
    /** No page sends a save again after so long: it keeps what is unsaved for a school week at most. */
    private const KEEP = 7 * 86_400_000;

    public function __construct(private Connection $db, private LessonClock $clock)
    {
    }

    public static function kinds(): array
    {
        return [self::TIDY];
    }

    public function handle(Task $task): int
    {
        $now = $this->clock->ms();
        $this->db->executeStatement('DELETE FROM slot_save WHERE at < ?', [$now - self::KEEP]);
        $this->db->executeStatement('DELETE FROM staff_session WHERE sess_lifetime < ?', [intdiv($now, 1_000)]);

        return $now + self::EVERY;
    }
}
