<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use FreshHuddle\Standin\Database;

/**
 * What the simulated meeting service remembers: rooms, who may enter, who is there.
 */
final readonly class Store
{
    /** A person whose page has not been heard of for so long has left. Milliseconds. */
    public const GONE_AFTER = 12_000;

    public function __construct(private Database $db)
    {
    }

    /**
     * @param list<string> $allowed
     */
    public function makeRoom(string $key, string $name, array $allowed = ['share', 'write']): string
    {
        $id = 'm'.bin2hex(random_bytes(8));
        $this->db->run(
            'INSERT INTO room (id, made_for, name, allowed) VALUES (?, ?, ?, ?) ON CONFLICT (made_for)
                DO UPDATE SET name = EXCLUDED.name, allowed = EXCLUDED.allowed',
            [$id, $key, $name, implode(' ', $allowed)],
        );

        return $this->db->rows('SELECT id FROM room WHERE made_for = ?', [$key])[0]['id'];
    }

    /**
     * @param list<string> $allowed
     *
     * @return bool whether there is such a room
     */
    public function changeRoom(string $room, string $name, array $allowed): bool
    {
        return 1 ===
            $this->db->run('UPDATE room SET name = ?, allowed = ? WHERE id = ?', [
                $name,
                implode(' ', $allowed),
                $room,
            ]);
    }

    /**
     * @return bool whether there is such a room
     */
    public function openRoom(string $room, bool $open): bool
    {
        if (!$open) {
            $this->db->run('DELETE FROM presence WHERE room = ?', [$room]);
        }

        return 1 === $this->db->run('UPDATE room SET open = ? WHERE id = ?', [$open ? 't' : 'f', $room]);
    }

    /**
     * Nobody gets in any more. What was recorded stays.
     */
    public function forgetRoom(string $room): void
    {
        foreach (
            [
                'DELETE FROM presence WHERE room = ?',
                'DELETE FROM written WHERE room = ?',
                'DELETE FROM move WHERE room = ?',
                'DELETE FROM pass WHERE room = ?',
                'DELETE FROM room WHERE id = ?',
            ] as $sql
        ) {
            $this->db->run($sql, [$room]);
        }
    }

    public function record(string $room, bool $on, int $now): void
    {
        $isOn = [] !== $this->db->rows('SELECT id FROM recording WHERE room = ? AND ended IS NULL', [$room]);
        if ($on && !$isOn) {
            $this->db->run('INSERT INTO recording (room, began) VALUES (?, ?)', [$room, (string) $now]);
        } elseif (!$on) {
            $this->db->run('UPDATE recording SET ended = ? WHERE room = ? AND ended IS NULL', [(string) $now, $room]);
        }
    }

    /**
     * @return array{began: int, ended: int|null, room: string}|null
     */
    public function recording(string $id): ?array
    {
        $row = ctype_digit($id)
            ? $this->db->rows('SELECT room, began, ended FROM recording WHERE id = ?', [$id])[0] ?? null
            : null;

        return null === $row
            ? null
            : [
                'room' => $row['room'],
                'began' => (int) $row['began'],
                'ended' => '' === $row['ended'] ? null : (int) $row['ended'],
            ];
    }

    /**
     * @param list<string> $rooms
     *
     * @return array<string, array{name: string, allowed: list<string>, open: bool, people: int, members: int,
     *   recording: bool, recordings: list<string>}>
     */
    public function states(array $rooms, int $now): array
    {
        $states = [];
        foreach ($rooms as $room) {
            $row =
                $this->db->rows('SELECT name, allowed, open::int AS open FROM room WHERE id = ?', [$room])[0] ?? null;
            if (null === $row) {
                continue;
            }
            $recordings = $this->db->rows(
                'SELECT id, (ended IS NULL)::int AS running FROM recording WHERE room = ? ORDER BY id',
                [$room],
            );
            $states[$room] = [
                'name' => $row['name'],
                'allowed' => self::words($row['allowed']),
                'open' => '1' === $row['open'],
                'people' => \count($this->namesIn($room, $now)),
                'members' => (int) $this->db->rows('SELECT COUNT(*) AS n FROM pass WHERE room = ?', [$room])[0]['n'],
                'recording' => \in_array('1', array_column($recordings, 'running'), true),
                'recordings' => array_column($recordings, 'id'),
            ];
        }

        return $states;
    }

    /**
     * @return list<array{id: string, name: string, open: bool, people: list<string>}> the latest first
     */
    public function latest(int $most, int $now): array
    {
        return array_map(
            fn (array $row): array => [
                'id' => $row['id'],
                'name' => $row['name'],
                'open' => '1' === $row['open'],
                'people' => $this->namesIn($row['id'], $now),
            ],
            $this->db->rows(
                'SELECT r.id, r.name, r.open::int AS open FROM room r LEFT JOIN presence p ON p.room = r.id
                    GROUP BY r.id ORDER BY MAX(p.seen) DESC NULLS LAST, r.name LIMIT ?',
                [(string) $most],
            ),
        );
    }

    /**
     * @return list<string> names of the rooms whose names begin so
     */
    public function named(string $beginning): array
    {
        return array_column(
            $this->db->rows('SELECT name FROM room WHERE starts_with(name, ?) ORDER BY id', [$beginning]),
            'name',
        );
    }

    public function hasRoom(string $room): bool
    {
        return [] !== $this->db->rows('SELECT id FROM room WHERE id = ?', [$room]);
    }

    /**
     * @param array<string, string> $people
     *
     * @return array<string, string> person => the secret part of that person's link
     */
    public function setMembers(string $room, array $people): array
    {
        $this->db->pdo()->beginTransaction();
        $this->db->rows('SELECT id FROM room WHERE id = ? FOR UPDATE', [$room]);
        foreach ($this->db->rows('SELECT person FROM pass WHERE room = ?', [$room]) as $row) {
            if (!isset($people[$row['person']])) {
                $this->db->run('DELETE FROM pass WHERE room = ? AND person = ?', [$room, $row['person']]);
                $this->db->run('DELETE FROM presence WHERE room = ? AND person = ?', [$room, $row['person']]);
            }
        }
        foreach ($people as $person => $name) {
            $this->db->run(
                'INSERT INTO pass (key, room, person, name) VALUES (?, ?, ?, ?) ON CONFLICT (room, person)
                    DO UPDATE SET name = EXCLUDED.name',
                [bin2hex(random_bytes(16)), $room, (string) $person, $name],
            );
        }
        $this->db->pdo()->commit();
        $keys = [];
        foreach ($this->db->rows('SELECT person, key FROM pass WHERE room = ?', [$room]) as $row) {
            $keys[$row['person']] = $row['key'];
        }

        return $keys;
    }

    /**
     * @return array{room: string, room_name: string, allowed: list<string>, person: string, name: string}|null
     */
    public function pass(string $key): ?array
    {
        $row =
            $this->db->rows(
                'SELECT p.room, r.name AS room_name, r.allowed, p.person, p.name FROM pass p
                    JOIN room r ON r.id = p.room WHERE p.key = ? AND r.open',
                [$key],
            )[0] ?? null;

        return null === $row
            ? null
            : [
                'room' => $row['room'],
                'room_name' => $row['room_name'],
                'allowed' => self::words($row['allowed']),
                'person' => $row['person'],
                'name' => $row['name'],
            ];
    }

    /**
     * Binds a person to the browser that holds a cookie; a ticket binds one browser, once.
     *
     * @return bool false if the ticket has let another browser in already
     */
    public function bind(string $person, string $cookie, string $ticket): bool
    {
        return 1 ===
            $this->db->run(
                'INSERT INTO browser (person, cookie_hash, ticket) VALUES (?, ?, ?)
             ON CONFLICT (person) DO UPDATE SET cookie_hash = EXCLUDED.cookie_hash, ticket = EXCLUDED.ticket
               WHERE browser.ticket <> EXCLUDED.ticket',
                [$person, hash('sha256', $cookie), $ticket],
            );
    }

    public function isBound(string $person, string $cookie): bool
    {
        return '' !== $cookie
            && [] !==
                $this->db->rows('SELECT person FROM browser WHERE person = ? AND cookie_hash = ?', [
                    $person,
                    hash('sha256', $cookie),
                ]);
    }

    public function keyFor(string $room, string $person): ?string
    {
        return $this->db->rows('SELECT key FROM pass WHERE room = ? AND person = ?', [$room, $person])[0]['key'] ??
            null;
    }

    /**
     * @return bool whether the person has only now come into this room, or the application has not been told yet
     */
    public function enter(string $person, string $room, string $name, int $now): bool
    {
        $was =
            $this->db->rows('SELECT room FROM presence WHERE person = ? AND seen > ? AND told', [
                $person,
                (string) ($now - self::GONE_AFTER),
            ])[0]['room'] ?? null;
        $this->db->run(
            'INSERT INTO presence (person, room, name, since, seen) VALUES (?, ?, ?, ?, ?) 
             ON CONFLICT (person) DO UPDATE
             SET since = CASE WHEN presence.room = EXCLUDED.room AND presence.seen > ? THEN presence.since
                     ELSE EXCLUDED.since END,
                 shares = presence.shares AND presence.room = EXCLUDED.room, room = EXCLUDED.room,
                 name = EXCLUDED.name, seen = EXCLUDED.seen, told = TRUE',
            [$person, $room, $name, (string) $now, (string) $now, (string) ($now - self::GONE_AFTER)],
        );

        return $was !== $room;
    }

    public function untold(string $person): void
    {
        $this->db->run('UPDATE presence SET told = FALSE WHERE person = ?', [$person]);
    }

    public function leave(string $person): bool
    {
        return $this->db->run('DELETE FROM presence WHERE person = ?', [$person]) > 0;
    }

    public function whereIs(string $person, int $now): ?string
    {
        return $this->db->rows('SELECT room FROM presence WHERE person = ? AND seen > ?', [
            $person,
            (string) ($now - self::GONE_AFTER),
        ])[0]['room'] ?? null;
    }

    /**
     * @return list<string> names of those in a room, in the order they came
     */
    public function namesIn(string $room, int $now): array
    {
        return array_column(
            $this->db->rows('SELECT name FROM presence WHERE room = ? AND seen > ? ORDER BY since, name', [
                $room,
                (string) ($now - self::GONE_AFTER),
            ]),
            'name',
        );
    }

    /**
     * @param list<string> $rooms
     *
     * @return array<string, array{room: string, since: int}> by person
     */
    public function whoIsThere(array $rooms, int $now): array
    {
        $there = [];
        foreach (
            $this->db->rows('SELECT person, room, since FROM presence WHERE seen > ?', [
                (string) ($now - self::GONE_AFTER),
            ]) as $row
        ) {
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
        return array_column(
            $this->db->rows('DELETE FROM presence WHERE seen <= ? RETURNING person', [
                (string) ($now - self::GONE_AFTER),
            ]),
            'person',
        );
    }

    /**
     * Only those who are in a room are moved: who comes later goes where they meant to go.
     *
     * @param array<string, string> $moves person => room
     */
    public function askToMove(array $moves, int $now): void
    {
        foreach ($moves as $person => $room) {
            $this->db->run(
                'INSERT INTO move (person, room, at) SELECT person, ?, ? FROM presence WHERE person = ? AND seen > ?
                    ON CONFLICT (person) DO UPDATE SET room = EXCLUDED.room, at = EXCLUDED.at',
                [$room, (string) $now, (string) $person, (string) ($now - self::GONE_AFTER)],
            );
        }
    }

    /**
     * The room a person has been told to go to, told once.
     */
    public function takeMove(string $person): ?string
    {
        return $this->db->rows('DELETE FROM move WHERE person = ? RETURNING room', [$person])[0]['room'] ?? null;
    }

    public function say(string $room, string $text, int $now): void
    {
        $this->db->run('INSERT INTO said (room, text, at) VALUES (?, ?, ?)', [$room, $text, (string) $now]);
    }

    public function tell(string $person, string $text, int $now): void
    {
        $this->say('to '.$person, $text, $now);
    }

    /**
     * @return string|null what was said last in a room, or to a person who is in it
     */
    public function lastSaid(string $room, string $person, int $since): ?string
    {
        return $this->db->rows(
            'SELECT text FROM said WHERE room IN (?, ?) AND at > ? ORDER BY at DESC, id DESC LIMIT 1',
            [$room, 'to '.$person, (string) $since],
        )[0]['text'] ?? null;
    }

    public function isRecorded(string $room): bool
    {
        return [] !== $this->db->rows('SELECT id FROM recording WHERE room = ? AND ended IS NULL', [$room]);
    }

    /**
     * A line that somebody wrote in the room.
     */
    public function write(string $room, string $name, string $text, int $now): void
    {
        $this->db->run('INSERT INTO written (room, name, text, at) VALUES (?, ?, ?, ?)', [
            $room,
            $name,
            $text,
            (string) $now,
        ]);
    }

    /**
     * @return list<array{name: string, text: string}> what was written there in the last hour, the latest last
     */
    public function written(string $room, int $now): array
    {
        return array_map(
            static fn (array $row): array => ['name' => $row['name'], 'text' => $row['text']],
            array_reverse(
                $this->db->rows(
                    'SELECT name, text FROM written WHERE room = ? AND at > ? ORDER BY id DESC LIMIT 30',
                    [$room, (string) ($now - 3_600_000)],
                ),
            ),
        );
    }

    /**
     * Somebody shows their screen in the room, or stops.
     */
    public function share(string $person, bool $on): void
    {
        $this->db->run('UPDATE presence SET shares = ? WHERE person = ?', [$on ? 't' : 'f', $person]);
    }

    public function shares(string $person): bool
    {
        return [] !== $this->db->rows('SELECT person FROM presence WHERE person = ? AND shares', [$person]);
    }

    /**
     * Nobody shows their screen in a room where that is not allowed any more.
     *
     * @return list<string> names of those who show their screens
     */
    public function sharing(string $room, bool $allowed, int $now): array
    {
        if (!$allowed) {
            $this->db->run('UPDATE presence SET shares = FALSE WHERE room = ? AND shares', [$room]);
        }

        return array_column(
            $this->db->rows('SELECT name FROM presence WHERE room = ? AND shares AND seen > ? ORDER BY name', [
                $room,
                (string) ($now - self::GONE_AFTER),
            ]),
            'name',
        );
    }

    /**
     * @return list<string>
     */
    private static function words(string $text): array
    {
        return '' === $text ? [] : explode(' ', $text);
    }
}
