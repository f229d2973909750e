<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Account\Device\TeacherDevices;
use FreshHuddle\App\Live\LessonClock;
use FreshHuddle\App\Roster\Device\StudentDevices;
use FreshHuddle\App\Roster\Door\Doorway;

/**
 * Lets go of what was kept only so that something sent twice counts once, and of devices whose time is over.
 */
final readonly class TidyWork implements TaskHandler
{
    public const TIDY = 'tidy';

    private const EVERY = 3_600_000;
    /** No page sends a save again after so long: it keeps what is unsaved for a school week at most. */
    private const KEEP = 7 * 86_400_000;

    public function __construct(private Connection $db, private LessonClock $clock, private TeacherDevices $teachers, private StudentDevices $students, private Doorway $doorway)
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
        $this->teachers->forgetOld();
        $this->students->forgetOld();
        $this->doorway->forgetOld();

        return $now + self::EVERY;
    }
}
