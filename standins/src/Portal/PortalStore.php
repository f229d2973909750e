<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Portal;

use FreshHuddle\Standin\Database;

/**
 * What the simulated course portal remembers: courses, who is in them, what is posted, and who sees it.
 *
 * @phpstan-type Post array{title: string, text: string, audience: list<string>, unit: string, due: int|null,
 *   counted: bool, link: string}
 */
final readonly class PortalStore
{
    public function __construct(private Database $db)
    {
    }

    /**
     * @param array<string, string> $students
     * @param array<string, string> $staff
     */
    public function putCourse(string $course, string $name, array $students, array $staff): void
    {
        $this->db->pdo()->beginTransaction();
        $this->db->run(
            'INSERT INTO course (id, name) VALUES (?, ?) ON CONFLICT (id) DO UPDATE SET name = EXCLUDED.name',
            [$course, $name],
        );
        $this->db->run('DELETE FROM course_person WHERE course = ?', [$course]);
        foreach ([[$students, 'f'], [$staff, 't']] as [$people, $teaches]) {
            foreach ($people as $person => $called) {
                $this->db->run(
                    'INSERT INTO course_person (course, person, name, teaches) VALUES (?, ?, ?, ?) ON CONFLICT
                        DO NOTHING',
                    [$course, (string) $person, $called, $teaches],
                );
            }
        }
        $this->db->pdo()->commit();
    }

    public function courseName(string $course): ?string
    {
        return $this->db->rows('SELECT name FROM course WHERE id = ?', [$course])[0]['name'] ?? null;
    }

    /**
     * @return array<string, array{name: string, teaches: bool}> by id
     */
    public function people(string $course): array
    {
        $people = [];
        foreach (
            $this->db->rows(
                'SELECT person, name, teaches::int AS teaches FROM course_person WHERE course = ? ORDER BY name',
                [$course],
            ) as $row
        ) {
            $people[$row['person']] = ['name' => $row['name'], 'teaches' => '1' === $row['teaches']];
        }

        return $people;
    }

    /**
     * @param Post $post
     */
    public function post(string $key, string $course, array $post): string
    {
        $this->db->pdo()->beginTransaction();
        $this->db->run(
            'INSERT INTO post (id, made_for, course, title, text, unit, due, counted, link)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
             ON CONFLICT (made_for) DO UPDATE SET title = EXCLUDED.title, text = EXCLUDED.text, unit = EXCLUDED.unit,
               due = EXCLUDED.due, counted = EXCLUDED.counted, link = EXCLUDED.link',
            ['p'.bin2hex(random_bytes(8)), $key, $course, ...self::columns($post)],
        );
        $id = $this->db->rows('SELECT id FROM post WHERE made_for = ?', [$key])[0]['id'];
        $this->setAudience($id, $post['audience']);
        $this->db->pdo()->commit();

        return $id;
    }

    /**
     * @param Post $post
     *
     * @return bool whether there is such a post
     */
    public function change(string $id, array $post): bool
    {
        $this->db->pdo()->beginTransaction();
        $isThere =
            1 ===
            $this->db->run(
                'UPDATE post SET title = ?, text = ?, unit = ?, due = ?, counted = ?, link = ? WHERE id = ?',
                [...self::columns($post), $id],
            );
        if ($isThere) {
            $this->setAudience($id, $post['audience']);
        }
        $this->db->pdo()->commit();

        return $isThere;
    }

    public function withdraw(string $id): void
    {
        $this->db->run('DELETE FROM post WHERE id = ?', [$id]);
    }

    /**
     * @return array<string, Post> by id, in the order in which they came
     */
    public function posts(string $course): array
    {
        $audience = [];
        foreach (
            $this->db->rows(
                'SELECT a.post, a.person FROM post_audience a JOIN post p ON p.id = a.post WHERE p.course = ?
                    ORDER BY a.person',
                [$course],
            ) as $row
        ) {
            $audience[$row['post']][] = $row['person'];
        }
        $posts = [];
        foreach (
            $this->db->rows(
                'SELECT id, title, text, unit, due, counted::int AS counted, link FROM post WHERE course = ?
                    ORDER BY number',
                [$course],
            ) as $row
        ) {
            $posts[$row['id']] = [
                'title' => $row['title'],
                'text' => $row['text'],
                'audience' => $audience[$row['id']] ?? [],
                'unit' => $row['unit'],
                'due' => '' === $row['due'] ? null : (int) $row['due'],
                'counted' => '1' === $row['counted'],
                'link' => $row['link'],
            ];
        }

        return $posts;
    }

    public function open(string $id, string $person): void
    {
        $this->db->run('INSERT INTO post_opened (post, person) VALUES (?, ?) ON CONFLICT DO NOTHING', [$id, $person]);
    }

    /**
     * @return array<string, list<string>> who has opened a post of a course and may still see it, by post
     */
    public function opened(string $course): array
    {
        $opened = [];
        foreach (
            $this->db->rows(
                'SELECT o.post, o.person FROM post_opened o JOIN post p ON p.id = o.post
                    JOIN post_audience a ON a.post = o.post AND a.person = o.person WHERE p.course = ?
                    ORDER BY o.person',
                [$course],
            ) as $row
        ) {
            $opened[$row['post']][] = $row['person'];
        }

        return $opened;
    }

    /**
     * @param list<string> $people
     */
    private function setAudience(string $id, array $people): void
    {
        $this->db->run('DELETE FROM post_audience WHERE post = ?', [$id]);
        foreach (array_unique($people) as $person) {
            $this->db->run('INSERT INTO post_audience (post, person) VALUES (?, ?)', [$id, $person]);
        }
    }

    /**
     * @param Post $post
     *
     * @return list<string|null>
     */
    private static function columns(array $post): array
    {
        return [
            $post['title'],
            $post['text'],
            $post['unit'],
            null === $post['due'] ? null : (string) $post['due'],
            $post['counted'] ? 't' : 'f',
            $post['link'],
        ];
    }
}
