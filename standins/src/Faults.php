<?php

declare(strict_types=1);

namespace FreshHuddle\Standin;

/**
 * How the stand-ins misbehave, when that is ordered.
 */
final readonly class Faults
{
    /**
     * slow: it takes 6 s; fail, refuse: it says so and does nothing; lie: the answer makes no sense; pretend: it says it is
     * done, and nothing is; late: it is done, and the answer is an error; forget: what it is asked about is gone.
     */
    public const KINDS = ['slow', 'fail', 'lie', 'refuse', 'pretend', 'late', 'forget'];

    public function __construct(private Database $db)
    {
    }

    /**
     * @param string|null $call the kind of call that misbehaves; null: any
     */
    public function order(string $service, string $kind, int $times, ?string $call): void
    {
        $this->db->run('DELETE FROM fault WHERE service = ?', [$service]);
        $this->db->run('INSERT INTO fault (service, kind, times, call) VALUES (?, ?, ?, ?)', [$service, $kind, (string) $times, $call]);
    }

    /**
     * @return array{kind: string, times: int, call: string}|null the misbehaviour that is ordered
     */
    public function next(string $service): ?array
    {
        $row = $this->db->rows('SELECT kind, times, call FROM fault WHERE service = ? AND times > 0', [$service])[0] ?? null;

        return null === $row ? null : ['kind' => $row['kind'], 'times' => (int) $row['times'], 'call' => $row['call']];
    }

    /**
     * The misbehaviour that is next in line; using it up.
     */
    public function take(string $service, string $call): ?string
    {
        return $this->db->rows('UPDATE fault SET times = times - 1 WHERE service = ? AND times > 0 AND (call IS NULL OR call = ?) RETURNING kind', [$service, $call])[0]['kind'] ?? null;
    }
}
