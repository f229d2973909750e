<?php

declare(strict_types=1);

namespace FreshHuddle\Standin;

use Symfony\Component\HttpFoundation\JsonResponse;

/**
 * How the stand-ins misbehave, when that is ordered.
 */
final readonly class Faults
{
    /**
     * slow: it takes 6 s; fail, refuse: it says so and does nothing; lie: the answer makes no sense; pretend: it says
     * it is done, and nothing is; late: it is done, and the answer is an error; forget: what it is asked about is gone.
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
        $this->db->run('INSERT INTO fault (service, kind, times, call) VALUES (?, ?, ?, ?)', [
            $service,
            $kind,
            (string) $times,
            $call,
        ]);
    }

    /**
     * What somebody orders from outside.
     *
     * @param array<array-key, mixed> $body  kind, times and, if only one kind of call is to misbehave, call
     * @param list<string>            $calls that the service has
     */
    public function ordered(array $body, string $service, array $calls): JsonResponse
    {
        $call = $body['call'] ?? null;
        if (
            !\in_array($body['kind'] ?? null, self::KINDS, true)
            || !\is_int($body['times'] ?? null)
            || !(null === $call || \in_array($call, $calls, true))
        ) {
            return new JsonResponse(['error' => 'no'], 400);
        }
        $this->order($service, $body['kind'], $body['times'], $call);

        return new JsonResponse(['ordered' => true]);
    }

    /**
     * Does what is asked, or misbehaves if that is next.
     *
     * @param callable(): (array<string, mixed>|null) $do     null: there is no such thing
     * @param callable(): void                        $forget what it is asked about is gone
     * @param array<string, mixed>                    $feint  the answer of one who only says that it is done
     * @param array<string, mixed>                    $lie
     */
    public function answer(
        string $service,
        string $call,
        callable $do,
        callable $forget,
        array $feint,
        array $lie,
    ): JsonResponse {
        $fault = $this->take($service, $call);
        if ('slow' === $fault) {
            sleep(6);
        }
        if ('forget' === $fault) {
            $forget();
        }
        if ('late' === $fault) {
            $do();
        }
        $answer = match ($fault) {
            'late' => new JsonResponse(['error' => 'trouble of its own, afterwards'], 503),
            'pretend' => new JsonResponse($feint),
            'fail' => new JsonResponse(['error' => 'trouble of its own'], 503),
            'refuse' => new JsonResponse(['error' => 'not allowed'], 403),
            'lie' => new JsonResponse($lie),
            default => null,
        };
        $done = null === $answer ? $do() : [];

        return $answer ??
            (null === $done ? new JsonResponse(['error' => 'no such thing'], 404) : new JsonResponse($done));
    }

    /**
     * @return array{kind: string, times: int, call: string}|null the misbehaviour that is ordered
     */
    public function next(string $service): ?array
    {
        $row =
            $this->db->rows('SELECT kind, times, call FROM fault WHERE service = ? AND times > 0', [$service])[0] ??
            null;

        return null === $row
            ? null
            : ['kind' => $row['kind'], 'times' => (int) $row['times'], 'call' => $row['call']];
    }

    /**
     * The misbehaviour that is next in line; using it up.
     */
    public function take(string $service, string $call): ?string
    {
        return $this->db->rows(
            'UPDATE fault SET times = times - 1 WHERE service = ? AND times > 0 AND (call IS NULL OR call = ?)
                RETURNING kind',
            [$service, $call],
        )[0]['kind'] ?? null;
    }
}
