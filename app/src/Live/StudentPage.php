<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\DeskNotes;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\SignUps;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Live\Evidence;

/**
 * What a student may know. It is put together here from what concerns that student, not cut down from something larger.
 */
final readonly class StudentPage
{
    private const NOTICES = 3;

    public function __construct(private Connection $db, private EventLog $events, private Clock $clock, private DeskNotes $notes, private SignUps $signUps, private FloorStore $floors)
    {
    }

    public function now(StudentUser $student): StudentNow
    {
        $now = $this->clock->ms();
        $round = $this->round($student);
        if (null === $round) {
            return new StudentNow($student->id, $student->name, $student->className, null, null, 0, $now, null, null, '', $this->hasMainSession($student), null, [], null);
        }
        $lessonId = $round->text('lesson_id');
        $moments = Moments::read($round->json('moments'));
        $seenIn = $this->db->fetchOne('SELECT service_place FROM presence WHERE student_id = ?', [$student->id]);

        return new StudentNow(
            $student->id,
            $student->name,
            $student->className,
            $lessonId,
            $round->text('title'),
            $this->events->lastForStudents($lessonId),
            $now,
            $moments,
            $moments->phase($now)->showsGroups() ? $this->group($student, $round) : null,
            $round->text('instructions'),
            $this->hasMainSession($student),
            \is_string($seenIn) ? $seenIn : null,
            \array_slice($this->events->notices($lessonId), 0, self::NOTICES),
            $moments->phase($now)->showsGroups() ? null : $this->signUps->view($student),
        );
    }

    /**
     * Where this student belongs now, with the link that leads there.
     *
     * @return array{place: string, link: string}|null null if there is no room for them
     */
    public function way(StudentUser $student): ?array
    {
        $round = $this->round($student);
        $out = null !== $round && Moments::read($round->json('moments'))->phase($this->clock->ms())->isOut();
        $group = $out ? $this->floor($round)->groupOf($student->id)?->id : null;
        if ($out && null === $group) {
            return null;
        }
        $link = null === $group
            ? $this->db->fetchOne('SELECT p.link FROM room r JOIN room_member p ON p.room_id = r.id WHERE r.class_id = ? AND r.group_id IS NULL AND p.student_id = ?', [$student->classId, $student->id])
            : $this->db->fetchOne('SELECT p.link FROM room r JOIN room_member p ON p.room_id = r.id WHERE r.group_id = ? AND p.student_id = ?', [$group, $student->id]);

        return \is_string($link) ? ['place' => $group ?? Evidence::MAIN, 'link' => $link] : null;
    }

    public function lastSeq(StudentUser $student): int
    {
        return null === $student->lessonId ? 0 : $this->events->lastForStudents($student->lessonId);
    }

    private function round(StudentUser $student): ?Row
    {
        if (null === $student->lessonId) {
            return null;
        }
        $row = $this->db->fetchAssociative(
            'SELECT r.id, r.lesson_id, r.grouping_id, r.instructions, r.moments, l.title FROM round r JOIN lesson l ON l.id = r.lesson_id
             WHERE l.id = ? ORDER BY r.number LIMIT 1',
            [$student->lessonId],
        );

        return false === $row ? null : new Row($row);
    }

    private function group(StudentUser $student, Row $round): ?MyGroup
    {
        $floor = $this->floor($round);
        $group = $floor->groupOf($student->id);
        if (null === $group) {
            return null;
        }
        $names = $this->namesHere($student->classId);
        $numbers = $this->notes->numbers($round->text('grouping_id'));
        $members = [];
        $own = 0;
        foreach ($group->students as $i => $id) {
            if (isset($names[$id])) {
                $members[] = new Mate($id, $names[$id], $i + 1, $numbers->roleOf($i + 1));
                $own = $id === $student->id ? $i + 1 : $own;
            }
        }
        $number = 1 + (int) array_search($group, $floor->groups, true);
        $copy = $this->db->fetchOne('SELECT id FROM work_copy WHERE round_id = ? AND group_id = ?', [$round->text('id'), $group->id]);
        $room = $this->db->fetchOne('SELECT 1 FROM room r JOIN room_member p ON p.room_id = r.id WHERE r.group_id = ? AND p.student_id = ?', [$group->id, $student->id]);

        return new MyGroup($group->id, $group->name, $number, $group->mark, $members, false !== $room, \is_string($copy) ? $copy : null, $own, $numbers->roleOf($own), $numbers->taskOf($own));
    }

    private function floor(Row $round): Floor
    {
        return $this->floors->now($round->text('grouping_id'));
    }

    /**
     * @return array<string, string> id => name of those who are on the list and not absent
     */
    private function namesHere(string $classId): array
    {
        $names = [];
        foreach (Row::all($this->db->fetchAllAssociative('SELECT id, name FROM student WHERE class_id = ? AND removed_at IS NULL AND NOT absent', [$classId])) as $row) {
            $names[$row->text('id')] = $row->text('name');
        }

        return $names;
    }

    private function hasMainSession(StudentUser $student): bool
    {
        return false !== $this->db->fetchOne('SELECT 1 FROM room r JOIN room_member p ON p.room_id = r.id WHERE r.class_id = ? AND r.group_id IS NULL AND p.student_id = ?', [$student->classId, $student->id]);
    }
}
