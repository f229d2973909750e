<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * What is to be heard in a room, and what was recorded there, as small files, to whoever has the token.
 */
final readonly class Recordings
{
    public function __construct(private Store $store, #[\SensitiveParameter] private string $token)
    {
    }

    /** What is to be heard in a room, for two seconds: its tone while somebody is in it, else silence. */
    #[Route('/api/rooms/{room}/sound', methods: ['GET'])]
    public function sound(string $room, Request $request): Response
    {
        if (!hash_equals('Bearer '.$this->token, $request->headers->get('Authorization', ''))) {
            return new Response('', 401);
        }
        $isSomebodyIn = [] !== $this->store->namesIn($room, (int) (microtime(true) * 1_000));

        return !$this->store->hasRoom($room)
            ? new Response('', 404)
            : new Response($isSomebodyIn ? Sound::wave($room, 2) : Sound::silence(2), 200, [
                'Content-Type' => 'audio/wav',
            ]);
    }

    #[Route('/api/recordings/{id}', methods: ['GET'])]
    public function file(string $id, Request $request): Response
    {
        if (!hash_equals('Bearer '.$this->token, $request->headers->get('Authorization', ''))) {
            return new Response('', 401);
        }
        $recording = $this->store->recording($id);

        return null === $recording
            ? new Response('', 404)
            : new Response(
                Sound::wave(
                    $recording['room'],
                    (($recording['ended'] ?? (int) (microtime(true) * 1_000)) - $recording['began']) / 1_000,
                ),
                200,
                ['Content-Type' => 'audio/wav'],
            );
    }
}
