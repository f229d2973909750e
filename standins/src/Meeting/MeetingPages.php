<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * The room as a person sees it: its name and who is there. There is no sound and no picture; it is a stand-in.
 */
final readonly class MeetingPages
{
    public function __construct(private Store $store, private Hook $hook, private string $classPageUrl)
    {
    }

    #[Route('/in/{key}', methods: ['GET'], requirements: ['key' => '[0-9a-f]{32}'])]
    public function room(string $key): Response
    {
        $pass = $this->store->pass($key);
        $page = (string) file_get_contents(\dirname(__DIR__, 2).'/templates/'.(null === $pass ? 'closed.html' : 'room.html'));
        $text = static fn (string $value): string => htmlspecialchars($value, \ENT_QUOTES | \ENT_SUBSTITUTE);

        return new Response(strtr($page, [
            '{{room}}' => $text($pass['room_name'] ?? ''),
            '{{name}}' => $text($pass['name'] ?? ''),
            '{{key}}' => $text($key),
            '{{back}}' => $text($this->classPageUrl.'/student'),
        ]), null === $pass ? 404 : 200, ['Cache-Control' => 'no-store', 'Referrer-Policy' => 'no-referrer']);
    }

    /** The page's sign of life: who is here, what was said, where to go. */
    #[Route('/in/{key}/here', methods: ['POST'], requirements: ['key' => '[0-9a-f]{32}'])]
    public function here(string $key, Request $request): JsonResponse
    {
        $now = (int) (microtime(true) * 1_000);
        foreach ($this->store->takeOutSilent($now) as $person) {
            $this->hook->tell($person, null, $now);
        }
        $pass = $this->store->pass($key);
        if (null === $pass) {
            return new JsonResponse(['closed' => true], 404);
        }
        $move = $this->store->takeMove($pass['person']);
        $there = null === $move || $move === $pass['room'] ? null : $this->store->keyFor($move, $pass['person']);
        if (null !== $there) {
            return new JsonResponse(['go' => '/in/'.$there]);
        }
        if ($this->store->enter($pass['person'], $pass['room'], $pass['name'], $now)) {
            $this->hook->tell($pass['person'], $pass['room'], $now);
        }

        return new JsonResponse(['people' => $this->store->namesIn($pass['room'], $now), 'said' => $this->store->lastSaid($pass['room'], $now - 90_000)]);
    }

    #[Route('/in/{key}/leave', methods: ['POST'], requirements: ['key' => '[0-9a-f]{32}'])]
    public function leave(string $key): Response
    {
        $pass = $this->store->pass($key);
        $now = (int) (microtime(true) * 1_000);
        if (null !== $pass && $this->store->whereIs($pass['person'], $now) === $pass['room'] && $this->store->leave($pass['person'])) {
            $this->hook->tell($pass['person'], null, $now);
        }

        return new RedirectResponse($this->classPageUrl.'/student', 303);
    }
}
