<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

/**
 * What the simulated meeting service remembers: rooms, who may enter, who is there.
 */
final class Store
{
    /** A person whose page has not been heard of for so long has left. Milliseconds. */
    public const GONE_AFTER = 12_000;

    private ?\PDO $pdo = null;

    public function __construct(#[\SensitiveParameter] private readonly string $databaseUrl)
    {
    }

    public function makeRoom(string $key, string $name): string
    {
        $id = 'm'.bin2hex(random_bytes(8));
        $this->run('INSERT INTO room (id, made_for, name) VALUES (?, ?, ?) ON CONFLICT (made_for) DO UPDATE SET name = EXCLUDED.name', [$id, $key, $name]);

        return $this->rows('SELECT id FROM room WHERE made_for = ?', [$key])[0]['id'];
    }

    public function hasRoom(string $room): bool
    {
        return [] !== $this->rows('SELECT id FROM room WHERE id = ?', [$room]);
    }

    /**
     * @param array<string, string> $people
     *
     * @return array<string, string> person => the secret part of that person's link
     */
    public function setMembers(string $room, array $people): array
    {
        $this->pdo()->beginTransaction();
        $this->rows('SELECT id FROM room WHERE id = ? FOR UPDATE', [$room]);
        foreach ($this->rows('SELECT person FROM pass WHERE room = ?', [$room]) as $row) {
            if (!isset($people[$row['person']])) {
                $this->run('DELETE FROM pass WHERE room = ? AND person = ?', [$room, $row['person']]);
            }
        }
        foreach ($people as $person => $name) {
            $this->run('INSERT INTO pass (key, room, person, name) VALUES (?, ?, ?, ?) ON CONFLICT (room, person) DO UPDATE SET name = EXCLUDED.name', [bin2hex(random_bytes(16)), $room, (string) $person, $name]);
        }
        $this->pdo()->commit();
        $keys = [];
        foreach ($this->rows('SELECT person, key FROM pass WHERE room = ?', [$room]) as $row) {
            $keys[$row['person']] = $row['key'];
        }

        return $keys;
    }

    /**
     * @return array{room: string, room_name: string, person: string, name: string}|null
     */
    public function pass(string $key): ?array
    {
        $row = $this->rows('SELECT p.room, r.name AS room_name, p.person, p.name FROM pass p JOIN room r ON r.id = p.room WHERE p.key = ?', [$key])[0] ?? null;

        return null === $row ? null : ['room' => $row['room'], 'room_name' => $row['room_name'], 'person' => $row['person'], 'name' => $row['name']];
    }

    /**
     * Binds a person to the browser that holds a cookie; a ticket binds one browser, once.
     *
     * @return bool false if the ticket has let another browser in already
     */
    public function bind(string $person, string $cookie, string $ticket): bool
    {
        return 1 === $this->run(
            'INSERT INTO browser (person, cookie_hash, ticket) VALUES (?, ?, ?)
             ON CONFLICT (person) DO UPDATE SET cookie_hash = EXCLUDED.cookie_hash, ticket = EXCLUDED.ticket WHERE browser.ticket <> EXCLUDED.ticket',
            [$person, hash('sha256', $cookie), $ticket],
        );
    }

    public function isBound(string $person, string $cookie): bool
    {
        return '' !== $cookie && [] !== $this->rows('SELECT person FROM browser WHERE person = ? AND cookie_hash = ?', [$person, hash('sha256', $cookie)]);
    }

    public function keyFor(string $room, string $person): ?string
    {
        return $this->rows('SELECT key FROM pass WHERE room = ? AND person = ?', [$room, $person])[0]['key'] ?? null;
    }

    /**
     * @return bool whether the person has only now come into this room
     */
    public function enter(string $person, string $room, string $name, int $now): bool
    {
        $was = $this->whereIs($person, $now);
        $this->run(
            'INSERT INTO presence (person, room, name, since, seen) VALUES (?, ?, ?, ?, ?) ON CONFLICT (person) DO UPDATE
             SET since = CASE WHEN presence.room = EXCLUDED.room AND presence.seen > ? THEN presence.since ELSE EXCLUDED.since END, room = EXCLUDED.room, name = EXCLUDED.name, seen = EXCLUDED.seen',
            [$person, $room, $name, (string) $now, (string) $now, (string) ($now - self::GONE_AFTER)],
        );

        return $was !== $room;
    }

    public function leave(string $person): bool
    {
        return $this->run('DELETE FROM presence WHERE person = ?', [$person]) > 0;
    }

    public function whereIs(string $person, int $now): ?string
    {
        return $this->rows('SELECT room FROM presence WHERE person = ? AND seen > ?', [$person, (string) ($now - self::GONE_AFTER)])[0]['room'] ?? null;
    }

    /**
     * @return list<string> names of those in a room, in the order they came
     */
    public function namesIn(string $room, int $now): array
    {
        return array_column($this->rows('SELECT name FROM presence WHERE room = ? AND seen > ? ORDER BY since, name', [$room, (string) ($now - self::GONE_AFTER)]), 'name');
    }

    /**
     * @param list<string> $rooms
     *
     * @return array<string, array{room: string, since: int}> by person
     */
    public function whoIsThere(array $rooms, int $now): array
    {
        $there = [];
        foreach ($this->rows('SELECT person, room, since FROM presence WHERE seen > ?', [(string) ($now - self::GONE_AFTER)]) as $row) {
            if (\in_array($row['room'], $rooms, true)) {
                $there[$row['person']] = ['room' => $row['room'], 'since' => (int) $row['since']];
            }
        }

        return $there;
    }

    /**
     * Takes out those whose pages have gone silent.
     *
     * @return list<string> who they were
     */
    public function takeOutSilent(int $now): array
    {
        return array_column($this->rows('DELETE FROM presence WHERE seen <= ? RETURNING person', [(string) ($now - self::GONE_AFTER)]), 'person');
    }

    /**
     * Only those who are in a room are moved: who comes later goes where they meant to go.
     *
     * @param array<string, string> $moves person => room
     */
    public function askToMove(array $moves, int $now): void
    {
        foreach ($moves as $person => $room) {
            $this->run(
                'INSERT INTO move (person, room, at) SELECT person, ?, ? FROM presence WHERE person = ? AND seen > ? ON CONFLICT (person) DO UPDATE SET room = EXCLUDED.room, at = EXCLUDED.at',
                [$room, (string) $now, (string) $person, (string) ($now - self::GONE_AFTER)],
            );
        }
    }

    /**
     * The room a person has been told to go to, told once.
     */
    public function takeMove(string $person): ?string
    {
        return $this->rows('DELETE FROM move WHERE person = ? RETURNING room', [$person])[0]['room'] ?? null;
    }

    public function say(string $room, string $text, int $now): void
    {
        $this->run('INSERT INTO said (room, text, at) VALUES (?, ?, ?)', [$room, $text, (string) $now]);
    }

    public function lastSaid(string $room, int $since): ?string
    {
        return $this->rows('SELECT text FROM said WHERE room = ? AND at > ? ORDER BY at DESC, id DESC LIMIT 1', [$room, (string) $since])[0]['text'] ?? null;
    }

    /**
     * @param string|null $call the kind of call that misbehaves; null: any
     */
    public function setFault(string $kind, int $times, ?string $call): void
    {
        $this->run('DELETE FROM fault', []);
        $this->run('INSERT INTO fault (kind, times, call) VALUES (?, ?, ?)', [$kind, (string) $times, $call]);
    }

    /**
     * The misbehaviour that is next in line; using it up.
     */
    public function takeFault(string $call): ?string
    {
        return $this->rows('UPDATE fault SET times = times - 1 WHERE times > 0 AND (call IS NULL OR call = ?) RETURNING kind', [$call])[0]['kind'] ?? null;
    }

    /**
     * @param list<string|null> $values
     */
    private function run(string $sql, array $values): int
    {
        $statement = $this->pdo()->prepare($sql);
        $statement->execute($values);

        return $statement->rowCount();
    }

    /**
     * @param list<string> $values
     *
     * @return list<array<string, string>>
     */
    private function rows(string $sql, array $values): array
    {
        $statement = $this->pdo()->prepare($sql);
        $statement->execute($values);
        $rows = [];
        foreach ($statement->fetchAll(\PDO::FETCH_ASSOC) as $row) {
            $texts = [];
            foreach (\is_array($row) ? $row : [] as $column => $value) {
                $texts[(string) $column] = \is_scalar($value) ? (string) $value : '';
            }
            $rows[] = $texts;
        }

        return $rows;
    }

    private function pdo(): \PDO
    {
        if (null === $this->pdo) {
            $url = parse_url($this->databaseUrl);
            $part = static fn (string $name): string => \is_array($url) && \is_scalar($url[$name] ?? null) ? (string) $url[$name] : '';
            $this->pdo = new \PDO(
                \sprintf('pgsql:host=%s;port=%s;dbname=%s', $part('host'), $part('port'), ltrim($part('path'), '/')),
                $part('user'),
                $part('pass'),
                [\PDO::ATTR_PERSISTENT => true],
            );
        }

        return $this->pdo;
    }
}
