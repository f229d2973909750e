<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Portal;

use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * A course as the teacher sees it, with who sees what; and as each student does, with their own posts alone. Whoever
 * has the teacher's address may look as any student of the course.
 */
#[Route('/portal')]
final readonly class PortalPages
{
    public function __construct(private PortalStore $store, #[\SensitiveParameter] private string $portalToken)
    {
    }

    #[Route('/courses/{course}', methods: ['GET'])]
    public function teacher(string $course, Request $request): Response
    {
        $name = $this->store->courseName($course);
        if (null === $name || !$this->opens($course, 'teacher', $request)) {
            return new Response('', 404);
        }
        $people = $this->store->people($course);
        $posts = '';
        $opened = $this->store->opened($course);
        foreach ($this->store->posts($course) as $id => $post) {
            $posts .= self::post(
                $post,
                $post['link'],
                '<p class="who">For '.
                    self::names($post['audience'], $people).
                    '</p><p class="who">Opened by '.
                    self::names($opened[$id] ?? [], $people).
                    '</p>',
            );
        }
        $doors = '';
        foreach ($people as $id => $person) {
            $doors .= $person['teaches']
                ? ''
                : '<a href="/portal/courses/'.
                    rawurlencode($course).
                    '/students/'.
                    rawurlencode($id).
                    '?as='.
                    $this->key($course, $id).
                    '">'.
                    self::text($person['name']).
                    '</a> ';
        }

        return self::page(
            self::text($name),
            'as the teacher sees it',
            $posts,
            "<h2>As a student sees it</h2><p class=\"doors\">{$doors}</p>",
        );
    }

    #[Route('/courses/{course}/students/{student}', methods: ['GET'])]
    public function student(string $course, string $student, Request $request): Response
    {
        $person = $this->store->people($course)[$student] ?? null;
        if (null === $person || $person['teaches'] || !$this->opens($course, $student, $request)) {
            return new Response('', 404);
        }
        $posts = '';
        $way = '/portal/courses/'.rawurlencode($course).'/students/'.rawurlencode($student).'/posts/';
        foreach ($this->store->posts($course) as $id => $post) {
            $posts .= \in_array($student, $post['audience'], true)
                ? self::post($post, $way.rawurlencode($id).'?as='.$this->key($course, $student))
                : '';
        }

        return self::page(
            self::text((string) $this->store->courseName($course)),
            'for '.self::text($person['name']),
            $posts,
            '',
        );
    }

    /** The student opens what was posted: that is what the teacher sees of it. */
    #[Route('/courses/{course}/students/{student}/posts/{id}', methods: ['GET'])]
    public function open(string $course, string $student, string $id, Request $request): Response
    {
        $post = $this->store->posts($course)[$id] ?? null;
        if (
            null === $post
            || !\in_array($student, $post['audience'], true)
            || !$this->opens($course, $student, $request)
            || !self::isLink($post['link'])
        ) {
            return new Response('', 404);
        }
        $this->store->open($id, $student);

        return new RedirectResponse($post['link'], 302, [
            'Cache-Control' => 'no-store',
            'Referrer-Policy' => 'no-referrer',
        ]);
    }

    /**
     * @param array{title: string, text: string, audience: list<string>, unit: string, due: int|null, counted: bool,
     *   link: string} $post
     */
    private static function post(array $post, string $way, string $more = ''): string
    {
        $about = array_filter(
            [
                '' === $post['unit'] ? '' : 'Unit: '.self::text($post['unit']),
                null === $post['due']
                    ? 'no due time'
                    : 'due <time>'.gmdate('D j M Y, H:i', intdiv($post['due'], 1_000)).' UTC</time>',
                $post['counted'] ? 'counts for marks' : 'does not count',
            ],
            static fn (string $part): bool => '' !== $part,
        );

        return '<article><h2 dir="auto">'.
            self::text($post['title']).
            '</h2><p class="about">'.
            implode(' · ', $about).
            '</p><p dir="auto" class="text">'.
            self::text($post['text']).
            '</p>'.
            (self::isLink($post['link']) ? '<p><a href="'.self::text($way).'">Open</a></p>' : '').
            $more.
            '</article>';
    }

    private static function page(string $name, string $as, string $posts, string $more): Response
    {
        return new Response(
            strtr((string) file_get_contents(\dirname(__DIR__, 2).'/templates/course.html'), [
                '{{name}}' => $name,
                '{{as}}' => $as,
                '{{posts}}' => '' === $posts ? '<p>Nothing is posted here.</p>' : $posts,
                '{{more}}' => $more,
            ]),
            200,
            [
                'Cache-Control' => 'no-store',
                'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'",
            ],
        );
    }

    /**
     * @param list<string>                                         $ids
     * @param array<array-key, array{name: string, teaches: bool}> $people
     */
    private static function names(array $ids, array $people): string
    {
        return self::text(
            [] === $ids
                ? 'nobody'
                : implode(
                    ', ',
                    array_map(
                        static fn (string $id): string => $people[$id]['name'] ?? 'somebody who is not in the course',
                        $ids,
                    ),
                ),
        );
    }

    private static function isLink(string $text): bool
    {
        return 1 === preg_match('~^https?://~', $text);
    }

    private static function text(string $value): string
    {
        return htmlspecialchars($value, \ENT_QUOTES | \ENT_SUBSTITUTE);
    }

    private function opens(string $course, string $who, Request $request): bool
    {
        return hash_equals($this->key($course, $who), (string) $request->query->get('as'));
    }

    private function key(string $course, string $who): string
    {
        return substr(hash_hmac('sha256', "course|{$course}|{$who}", $this->portalToken), 0, 32);
    }
}
