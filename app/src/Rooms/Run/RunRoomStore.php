<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Run;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\Rooms;
use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Keeps which rooms the groups of a run had. By hand: all rooms of a run in one statement, inside the transaction that
 * sends groups out.
 */
final readonly class RunRoomStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * The rooms of a run's groups are those they have now. Safe to do twice.
     */
    public function follow(string $runId): void
    {
        $this->db->executeStatement(
            'INSERT INTO run_room (run_group_id, name, source, link)
             SELECT g.id, r.name, r.source, r.link FROM run_group g JOIN room r ON r.group_id = g.group_id
               WHERE g.run_id = ?
             ON CONFLICT (run_group_id) DO UPDATE SET name = EXCLUDED.name, source = EXCLUDED.source,
               link = EXCLUDED.link',
            [$runId],
        );
    }

    /**
     * Rooms of the class changed: those of runs that go on are followed.
     */
    #[AsEventListener]
    public function onRoomsChanged(RoomsChanged $event): void
    {
        foreach (
            $this->db->fetchFirstColumn(
                'SELECT u.id FROM run u JOIN lesson l ON l.id = u.lesson_id WHERE l.class_id = ?
                    AND u.ended_at IS NULL',
                [$event->classId],
            ) as $run
        ) {
            \assert(\is_string($run));
            $this->follow($run);
        }
    }

    /**
     * @return list<RunRoomView> in the order of the groups
     */
    public function rooms(string $runId): array
    {
        return array_map(
            static fn (Row $row): RunRoomView => new RunRoomView(
                $row->text('group'),
                $row->text('name'),
                SourceKind::from($row->text('source')),
                $row->textOrNull('link'),
            ),
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT g.last_name AS group, r.name, r.source, r.link FROM run_room r
                        JOIN run_group g ON g.id = r.run_group_id WHERE g.run_id = ? ORDER BY g.position',
                    [$runId],
                ),
            ),
        );
    }
}
