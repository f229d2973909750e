<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Live\Signal\Call;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Signal\ChalkMark;
use FreshHuddle\Core\Live\Signal\GroupSignals;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * Keeps what calls, visits and chalk marks have come to. By hand: read and written while the lesson's row is held, and
 * read with every look at a lesson that is on.
 */
final readonly class SignalStore
{
    private const COLUMNS = [
        'called_by',
        'about',
        'called_at',
        'call_seen_at',
        'visits',
        'visited_at',
        'visitor',
        'visit_since',
        'mark',
        'marked_at',
    ];

    public function __construct(private Connection $db)
    {
    }

    public function forRound(string $roundId): Signals
    {
        $groups = [];
        foreach (
            Row::all($this->db->fetchAllAssociative('SELECT * FROM group_signal
                WHERE round_id = ?', [$roundId])) as $row
        ) {
            $by = $row->textOrNull('called_by');
            $groups[$row->text('group_id')] = new GroupSignals(
                null === $by
                    ? null
                    : new Call(
                        $by,
                        CallAbout::from($row->text('about')),
                        $row->int('called_at'),
                        $row->intOrNull('call_seen_at'),
                    ),
                $row->int('visits'),
                $row->intOrNull('visited_at'),
                $row->textOrNull('visitor'),
                $row->intOrNull('visit_since'),
                ChalkMark::tryFrom($row->textOrNull('mark') ?? ''),
                $row->intOrNull('marked_at'),
            );
        }

        return new Signals($groups);
    }

    /**
     * @param Signals $before as they stand there
     */
    public function put(string $roundId, Signals $before, Signals $after): void
    {
        foreach (array_diff_key($before->groups, $after->groups) as $id => $gone) {
            $this->db->delete('group_signal', ['round_id' => $roundId, 'group_id' => $id]);
        }
        foreach ($after->groups as $id => $group) {
            if (isset($before->groups[$id]) && $before->groups[$id]->equals($group)) {
                continue;
            }
            $values = [
                $group->call?->by,
                $group->call?->about->value,
                $group->call?->at,
                $group->call?->seenAt,
                $group->visits,
                $group->visitedAt,
                $group->visitor,
                $group->since,
                $group->mark?->value,
                $group->markedAt,
            ];
            $this->db->executeStatement(
                'INSERT INTO group_signal (round_id, group_id, '.
                    implode(', ', self::COLUMNS).
                    ') VALUES (?, ?, '.
                    implode(', ', array_fill(0, \count($values), '?')).
                    ')
                 ON CONFLICT (round_id, group_id) DO UPDATE SET '.
                    implode(
                        ', ',
                        array_map(
                            static fn (string $column): string => "{$column} = EXCLUDED.{$column}",
                            self::COLUMNS,
                        ),
                    ),
                [$roundId, (string) $id, ...$values],
            );
        }
    }
}
