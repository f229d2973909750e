<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Roster\Device\NameTaken;
use FreshHuddle\App\Roster\Device\StudentDevices;
use FreshHuddle\Core\Roster\Door\DoorWord;
use FreshHuddle\Core\Roster\Door\NameMatch;

/**
 * How students come in: by the class's door word and their own name, typed. The list of names to press stands here only where
 * the teacher chose so, and only while a lesson of the class is on.
 */
final readonly class Door
{
    public function __construct(private Connection $db, private StudentDevices $devices, private Doorway $doorway, private DoorLimits $limits)
    {
    }

    /**
     * @throws Problem 404 or 429 if no class has this door word
     */
    public function look(string $typed, string $address): ClassDoor
    {
        $class = $this->classOf($typed, $address);
        if (!$class->bool('listed')) {
            return new ClassDoor($class->text('name'), null);
        }

        return new ClassDoor($class->text('name'), array_map(
            static fn (Row $row): NameAtDoor => new NameAtDoor($row->text('id'), $row->text('name'), $row->bool('taken')),
            Row::all($this->db->fetchAllAssociative(
                'SELECT s.id, s.name, d.student_id IS NOT NULL AS taken FROM student s LEFT JOIN student_device d ON d.student_id = s.id AND d.until > now()
                 WHERE s.class_id = ? AND s.removed_at IS NULL ORDER BY s.position, s.id',
                [$class->text('id')],
            )),
        ));
    }

    /**
     * @param string $token the device's cookie; '' for none
     *
     * @return string the device's cookie from now on
     *
     * @throws Problem 404 if nobody is called that, 409 if another device has the name, 422 if it may be several people,
     *                 429 if too many come or guess
     */
    public function join(JoinClass $request, string $token, string $address): string
    {
        $class = $this->classOf($request->doorWord, $address);
        $names = $this->names($class->text('id'));
        if (null !== $request->student && $class->bool('listed')) {
            $found = isset($names[$request->student]) ? [$request->student] : [];
        } else {
            $found = null === $request->name ? throw new Problem(422, 'Your name, please.', 'name') : NameMatch::find($request->name, $names);
        }
        if (\count($found) > 1) {
            $this->limits->wrongName($class->text('id'), $address, new Problem(422, 'There is more than one name like this. Write your whole name.', 'name'));
        }
        if ([] !== $found) {
            $this->limits->claim($class->text('id'), $address, $token, \count($names));
            try {
                return $this->devices->claim($token, $found[0]);
            } catch (NameTaken) {
                $taken = new Problem(409, 'Another device has this name. If it is yours, wait at the door: your teacher lets you in.', 'name');
            }
        }
        if ($request->wait && null !== $request->name) {
            $this->limits->wait($class->text('id'), $address);

            return $this->doorway->wait($class->text('id'), $request->name, $token, $found[0] ?? null);
        }
        throw $taken ?? $this->limits->wrongName($class->text('id'), $address, new Problem(404, 'This name is not on the list. Write it as your teacher does, or wait at the door.', 'name'));
    }

    private function classOf(string $typed, string $address): Row
    {
        $class = $this->db->fetchAssociative(
            "SELECT c.id, c.name, c.names_at_door AND COALESCE(l.watched_at > now() - interval '30 minutes', false) AS listed
             FROM school_class c LEFT JOIN lesson l ON l.id = c.current_lesson_id WHERE c.door_word = ? AND c.archived_at IS NULL",
            [DoorWord::read($typed)?->text() ?? ''],
        );

        return false === $class ? $this->limits->wrongWord($address) : new Row($class);
    }

    /**
     * @return array<string, list<string>> id => the name on the list, then others the student has come in with
     */
    private function names(string $classId): array
    {
        $names = [];
        foreach (Row::all($this->db->fetchAllAssociative(
            'SELECT s.id, s.name FROM student s WHERE s.class_id = :class AND s.removed_at IS NULL
             UNION ALL SELECT s.id, o.name FROM student_name o JOIN student s ON s.id = o.student_id WHERE s.class_id = :class AND s.removed_at IS NULL',
            ['class' => $classId],
        )) as $row) {
            $names[$row->text('id')][] = $row->text('name');
        }

        return $names;
    }
}
