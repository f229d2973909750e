<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;

/**
 * What has gone out of a round. By hand: asked for with every look at a lesson.
 */
final readonly class DeliveryReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return string|null what the portal calls what went out under a key; null: it has nothing of it
     */
    public function theirId(string $key): ?string
    {
        $id = $this->db->fetchOne('SELECT their_id FROM sent WHERE id = ?', [$key]);

        return \is_string($id) ? $id : null;
    }

    /**
     * @return list<DeliveryThing> in the order in which they were first sent
     */
    public function forRound(string $roundId): array
    {
        return array_map(
            static fn (Row $row): DeliveryThing => new DeliveryThing(
                $row->text('id'),
                DeliveryKind::from($row->text('kind')),
                $row->text('target'),
                $row->text('name'),
                $row->textOrNull('their_id'),
                $row->text('digest'),
                $row->text('address'),
                null === $row->textOrNull('viewers')
                    ? []
                    : array_values(array_filter($row->json('viewers'), \is_string(...))),
                $row->intOrNull('due_at'),
                $row->bool('arrived'),
                $row->textOrNull('failure'),
                $row->intOrNull('at'),
            ),
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT s.id, s.kind, s.target, COALESCE(g.name, '')
                        AS name, s.their_id, s.digest, s.address, s.due_at, s.arrived, s.failure, s.at,
                        (SELECT jsonb_agg(v.viewer ORDER BY v.viewer) FROM sent_viewer v WHERE v.sent_id = s.id)
                          AS viewers
                 FROM sent s LEFT JOIN work_group g ON g.id = s.target WHERE s.round_id = ? ORDER BY s.id",
                    [$roundId],
                ),
            ),
        );
    }
}
