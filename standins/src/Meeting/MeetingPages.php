<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * The room as a person sees it: its name and who is there. There is no sound and no picture; it is a stand-in.
 *
 * A personal link opens nothing by itself. The classroom's application adds a ticket that is good for a minute and
 * binds the browser that opens it; from then on that browser is the person, and a link that was passed on is nobody.
 */
final readonly class MeetingPages
{
    private const COOKIE = 'meeting_browser';

    public function __construct(
        private Store $store,
        private Hook $hook,
        private string $classPageUrl,
        #[\SensitiveParameter]
        private string $token,
    ) {
    }

    #[Route('/in/{key}', methods: ['GET'], requirements: ['key' => '[0-9a-f]{32}'])]
    public function room(string $key, Request $request): Response
    {
        $pass = $this->store->pass($key);
        if (null !== $pass && !$this->store->isBound($pass['person'], self::cookie($request))) {
            $cookie = bin2hex(random_bytes(16));
            $ticket = (string) $request->query->get('let');
            if ($this->isTicket($key, $request) && $this->store->bind($pass['person'], $cookie, $ticket)) {
                $answer = new RedirectResponse('/in/'.$key, 302, [
                    'Cache-Control' => 'no-store',
                    'Referrer-Policy' => 'no-referrer',
                ]);
                $answer->headers->setCookie(
                    Cookie::create(
                        self::COOKIE,
                        $cookie,
                        0,
                        '/',
                        null,
                        $request->isSecure(),
                        true,
                        false,
                        Cookie::SAMESITE_LAX,
                    ),
                );

                return $answer;
            }
            $pass = null;
        }
        $page = (string) file_get_contents(
            \dirname(__DIR__, 2).'/templates/'.(null === $pass ? 'closed.html' : 'room.html'),
        );
        $text = static fn (string $value): string => htmlspecialchars($value, \ENT_QUOTES | \ENT_SUBSTITUTE);

        return new Response(
            strtr($page, [
                '{{room}}' => $text($pass['room_name'] ?? ''),
                '{{name}}' => $text($pass['name'] ?? ''),
                '{{key}}' => $text($key),
                '{{back}}' => $text($this->classPageUrl.'/student'),
            ]),
            null === $pass ? 404 : 200,
            ['Cache-Control' => 'no-store', 'Referrer-Policy' => 'no-referrer'],
        );
    }

    /** The page's sign of life: who is here, what was said, where to go. */
    #[Route('/in/{key}/here', methods: ['POST'], requirements: ['key' => '[0-9a-f]{32}'])]
    public function here(string $key, Request $request): JsonResponse
    {
        $now = (int) (microtime(true) * 1_000);
        foreach ($this->store->takeOutSilent($now) as $person) {
            $this->hook->tell($person, null, $now);
        }
        $pass = $this->own($key, $request);
        if (null === $pass) {
            return new JsonResponse(['closed' => true], 404);
        }
        $move = $this->store->takeMove($pass['person']);
        $there = null === $move || $move === $pass['room'] ? null : $this->store->keyFor($move, $pass['person']);
        if (null !== $there) {
            return new JsonResponse(['go' => '/in/'.$there]);
        }
        if (
            $this->store->enter($pass['person'], $pass['room'], $pass['name'], $now)
            && !$this->hook->tell($pass['person'], $pass['room'], $now)
        ) {
            $this->store->untold($pass['person']); // with the next sign it is told again
        }

        $may = $pass['allowed'];

        return new JsonResponse([
            'people' => $this->store->namesIn($pass['room'], $now),
            'said' => $this->store->lastSaid($pass['room'], $pass['person'], $now - 90_000),
            'may' => $may,
            'recorded' => $this->store->isRecorded($pass['room']),
            'sharing' => $this->store->sharing($pass['room'], \in_array('share', $may, true), $now),
            'shares' => $this->store->shares($pass['person']),
            'written' => \in_array('write', $may, true) ? $this->store->written($pass['room'], $now) : [],
        ]);
    }

    /** What a person does in the room beside talking: `record`, `share` or `write`, where it is allowed there. */
    #[Route(
        '/in/{key}/{what}',
        methods: ['POST'],
        requirements: ['key' => '[0-9a-f]{32}', 'what' => 'record|share|write'],
    ),]
    public function use(string $key, string $what, Request $request): JsonResponse
    {
        $now = (int) (microtime(true) * 1_000);
        $pass = $this->own($key, $request);
        if (null === $pass || $this->store->whereIs($pass['person'], $now) !== $pass['room']) {
            return new JsonResponse(['closed' => true], 404);
        }
        if (!\in_array($what, $pass['allowed'], true)) {
            return new JsonResponse(['error' => 'not allowed in this room'], 403);
        }
        $value = trim(mb_substr($request->getContent(), 0, 500));
        match ($what) {
            'record' => $this->store->record($pass['room'], 'on' === $value, $now),
            'share' => $this->store->share($pass['person'], 'on' === $value),
            default => '' === $value ? null : $this->store->write($pass['room'], $pass['name'], $value, $now),
        };

        return new JsonResponse(['done' => true]);
    }

    #[Route('/in/{key}/leave', methods: ['POST'], requirements: ['key' => '[0-9a-f]{32}'])]
    public function leave(string $key, Request $request): Response
    {
        $pass = $this->own($key, $request);
        $now = (int) (microtime(true) * 1_000);
        if (
            null !== $pass
            && $this->store->whereIs($pass['person'], $now) === $pass['room']
            && $this->store->leave($pass['person'])
        ) {
            $this->hook->tell($pass['person'], null, $now);
        }

        return new RedirectResponse($this->classPageUrl.'/student', 303);
    }

    /**
     * Null: this browser is not that person.
     *
     * @return array{room: string, room_name: string, allowed: list<string>, person: string, name: string}|null
     */
    private function own(string $key, Request $request): ?array
    {
        $pass = $this->store->pass($key);

        return null !== $pass && $this->store->isBound($pass['person'], self::cookie($request)) ? $pass : null;
    }

    private function isTicket(string $key, Request $request): bool
    {
        $until = (string) $request->query->get('until');
        $ticket = substr(hash_hmac('sha256', $until.'|'.$key, 'let-in|'.$this->token), 0, 40);

        return ctype_digit($until)
            && (int) $until >= time()
            && hash_equals($ticket, (string) $request->query->get('let'));
    }

    private static function cookie(Request $request): string
    {
        return (string) $request->cookies->get(self::COOKIE);
    }
}
