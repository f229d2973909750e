<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Stream\Channel;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * nginx asks here before it lets a browser listen to channels. Which ones stands at the end of the address the browser asked
 * for; nginx puts it into a header and overwrites what the browser may have put there.
 */
final readonly class StreamDoorController
{
    public function __construct(private Connection $db)
    {
    }

    #[Route('/stream-door/staff', methods: ['GET'])]
    public function staff(#[CurrentUser] Teacher $teacher, Request $http): void
    {
        foreach (self::channels($http) as $channel) {
            if (!$this->isOwn($teacher, $channel)) {
                throw new Problem(403, 'This is not open to you.');
            }
        }
    }

    #[Route('/stream-door/student', methods: ['GET'])]
    public function student(#[CurrentUser] StudentUser $student, Request $http): void
    {
        $own = [Channel::student($student->id), Channel::everybody($student->lessonId ?? '')];
        if ([] !== array_diff(self::channels($http), $own)) {
            throw new Problem(403, 'This is not open to you.');
        }
    }

    private function isOwn(Teacher $teacher, string $channel): bool
    {
        $id = substr($channel, -36);
        if (1 !== preg_match('/^[0-9a-f-]{36}$/', $id)) {
            return false;
        }
        $table = match ($channel) {
            Channel::staff($id) => 'lesson',
            Channel::desk($id) => 'grouping',
            default => null,
        };

        return null !== $table && false !== $this->db->fetchOne("SELECT 1 FROM {$table} x JOIN school_class c ON c.id = x.class_id WHERE x.id = ? AND c.teacher_id = ?", [$id, $teacher->id]);
    }

    /**
     * @return non-empty-list<string>
     */
    private static function channels(Request $http): array
    {
        $asked = explode('?', $http->headers->get('X-Original-Uri', ''))[0];

        return explode(',', basename($asked));
    }
}
