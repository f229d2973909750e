<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Portal;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * A course as the teacher sees it, with who sees what; and as each student does, with their own posts alone. Whoever has the
 * teacher's address may look as any student of the course.
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
        foreach ($this->store->posts($course) as $post) {
            $who = array_map(static fn (string $id): string => $people[$id]['name'] ?? 'somebody who is not in the course', $post['audience']);
            $posts .= self::post($post, '<p class="who">Seen by '.self::text([] === $who ? 'nobody' : implode(', ', $who)).'</p>');
        }
        $doors = '';
        foreach ($people as $id => $person) {
            $doors .= $person['teaches'] ? '' : '<a href="/portal/courses/'.rawurlencode($course).'/students/'.rawurlencode($id).'?as='.$this->key($course, $id).'">'.self::text($person['name']).'</a> ';
        }

        return self::page(self::text($name), 'as the teacher sees it', $posts, "<h2>As a student sees it</h2><p class=\"doors\">{$doors}</p>");
    }

    #[Route('/courses/{course}/students/{student}', methods: ['GET'])]
    public function student(string $course, string $student, Request $request): Response
    {
        $person = $this->store->people($course)[$student] ?? null;
        if (null === $person || $person['teaches'] || !$this->opens($course, $student, $request)) {
            return new Response('', 404);
        }
        $posts = '';
        foreach ($this->store->posts($course) as $post) {
            $posts .= \in_array($student, $post['audience'], true) ? self::post($post) : '';
        }

        return self::page(self::text((string) $this->store->courseName($course)), 'for '.self::text($person['name']), $posts, '');
    }

    /**
     * @param array{title: string, text: string, audience: list<string>, unit: string, due: int|null, counted: bool, link: string} $post
     */
    private static function post(array $post, string $more = ''): string
    {
        $about = array_filter([
            '' === $post['unit'] ? '' : 'Unit: '.self::text($post['unit']),
            null === $post['due'] ? 'no due time' : 'due <time>'.gmdate('D j M Y, H:i', intdiv($post['due'], 1_000)).' UTC</time>',
            $post['counted'] ? 'counts for marks' : 'does not count',
        ], static fn (string $part): bool => '' !== $part);
        $isLink = 1 === preg_match('~^https?://~', $post['link']);

        return '<article><h2 dir="auto">'.self::text($post['title']).'</h2><p class="about">'.implode(' · ', $about).'</p><p dir="auto" class="text">'.self::text($post['text']).'</p>'
            .($isLink ? '<p><a href="'.self::text($post['link']).'">Open</a></p>' : '').$more.'</article>';
    }

    private static function page(string $name, string $as, string $posts, string $more): Response
    {
        return new Response(strtr((string) file_get_contents(\dirname(__DIR__, 2).'/templates/course.html'), [
            '{{name}}' => $name, '{{as}}' => $as, '{{posts}}' => '' === $posts ? '<p>Nothing is posted here.</p>' : $posts, '{{more}}' => $more,
        ]), 200, ['Cache-Control' => 'no-store', 'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'"]);
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
