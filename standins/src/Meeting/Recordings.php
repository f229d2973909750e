<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * What was recorded, as a small file, to whoever has the token.
 */
final readonly class Recordings
{
    public function __construct(private Store $store, #[\SensitiveParameter] private string $token)
    {
    }

    #[Route('/api/recordings/{id}', methods: ['GET'])]
    public function file(string $id, Request $request): Response
    {
        if (!hash_equals('Bearer '.$this->token, $request->headers->get('Authorization', ''))) {
            return new Response('', 401);
        }
        $recording = $this->store->recording($id);

        return null === $recording ? new Response('', 404) : new Response(
            Sound::wave($recording['room'], (($recording['ended'] ?? (int) (microtime(true) * 1_000)) - $recording['began']) / 1_000),
            200,
            ['Content-Type' => 'audio/wav'],
        );
    }
}
