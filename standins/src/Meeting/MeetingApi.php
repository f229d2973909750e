<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/**
 * What programs can ask of the simulated meeting service. Its misbehaviour can be ordered, for tests: slow, failing, lying.
 */
final readonly class MeetingApi
{
    private const FAULTS = ['slow', 'fail', 'lie', 'refuse'];
    private const CALLS = ['make', 'members', 'move', 'say', 'presence'];

    public function __construct(private Store $store, #[\SensitiveParameter] private string $token, private string $publicUrl)
    {
    }

    #[Route('/api/rooms', methods: ['POST'])]
    public function make(Request $request): JsonResponse
    {
        return $this->answer($request, 'make', function (array $body) use ($request): array {
            $key = $request->headers->get('Idempotency-Key') ?? bin2hex(random_bytes(8));

            return ['id' => $this->store->makeRoom($key, \is_string($body['name'] ?? null) ? $body['name'] : 'Room')];
        });
    }

    #[Route('/api/rooms/{room}/members', methods: ['PUT'])]
    public function members(string $room, Request $request): JsonResponse
    {
        return $this->answer($request, 'members', function (array $body) use ($room): ?array {
            if (!$this->store->hasRoom($room)) {
                return null;
            }
            $links = array_map(fn (string $key): string => $this->publicUrl.'/in/'.$key, $this->store->setMembers($room, self::texts($body['people'] ?? [])));

            return ['links' => (object) $links];
        });
    }

    #[Route('/api/moves', methods: ['POST'])]
    public function move(Request $request): JsonResponse
    {
        return $this->answer($request, 'move', function (array $body): array {
            $this->store->askToMove(self::texts($body['moves'] ?? []), self::now());

            return ['asked' => true];
        });
    }

    #[Route('/api/say', methods: ['POST'])]
    public function say(Request $request): JsonResponse
    {
        return $this->answer($request, 'say', function (array $body): array {
            foreach (self::texts($body['rooms'] ?? []) as $room) {
                $this->store->say($room, \is_string($body['text'] ?? null) ? $body['text'] : '', self::now());
            }

            return ['said' => true];
        });
    }

    #[Route('/api/presence', methods: ['POST'])]
    public function presence(Request $request): JsonResponse
    {
        return $this->answer($request, 'presence', fn (array $body): array => [
            'people' => (object) $this->store->whoIsThere(array_values(self::texts($body['rooms'] ?? [])), self::now()),
        ]);
    }

    /** Orders misbehaviour: the next so many calls (of one kind, if `call` says which) are slow, fail, are refused, or get nonsense for an answer. */
    #[Route('/control/faults', methods: ['POST'])]
    public function faults(Request $request): JsonResponse
    {
        $body = $request->toArray();
        if (!$this->mayAsk($request) || !\in_array($body['kind'] ?? null, self::FAULTS, true) || !\is_int($body['times'] ?? null)
            || !\in_array($call = $body['call'] ?? null, [null, ...self::CALLS], true)) {
            return new JsonResponse(['error' => 'no'], 400);
        }
        $this->store->setFault($body['kind'], $body['times'], $call);

        return new JsonResponse(['ordered' => true]);
    }

    /**
     * @param callable(array<array-key, mixed>): (array<string, mixed>|null) $do
     */
    private function answer(Request $request, string $call, callable $do): JsonResponse
    {
        if (!$this->mayAsk($request)) {
            return new JsonResponse(['error' => 'unknown token'], 401);
        }
        $fault = $this->store->takeFault($call);
        if ('slow' === $fault) {
            sleep(6);
        }
        $answer = match ($fault) {
            'fail' => new JsonResponse(['error' => 'trouble of its own'], 503),
            'refuse' => new JsonResponse(['error' => 'not allowed'], 403),
            'lie' => new JsonResponse(['id' => null, 'links' => ['somebody' => 'javascript:alert(1)'], 'people' => [1]]),
            default => null,
        };
        $done = null === $answer ? $do($request->toArray()) : [];

        return $answer ?? (null === $done ? new JsonResponse(['error' => 'no such room'], 404) : new JsonResponse($done));
    }

    private function mayAsk(Request $request): bool
    {
        return hash_equals('Bearer '.$this->token, $request->headers->get('Authorization', ''));
    }

    /**
     * @return array<string, string>
     */
    private static function texts(mixed $value): array
    {
        $texts = [];
        foreach (\is_array($value) ? $value : [] as $key => $text) {
            if (\is_string($text)) {
                $texts[(string) $key] = $text;
            }
        }

        return $texts;
    }

    private static function now(): int
    {
        return (int) (microtime(true) * 1_000);
    }
}
