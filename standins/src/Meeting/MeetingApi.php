<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use FreshHuddle\Standin\Faults;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/**
 * What programs can ask of the simulated meeting service. Its misbehaviour can be ordered, for tests: slow, failing,
 * lying.
 */
final readonly class MeetingApi
{
    public const SERVICE = 'meeting';
    public const CALLS = [
        'make',
        'change',
        'retire',
        'members',
        'move',
        'say',
        'tell',
        'presence',
        'states',
        'open',
        'record',
    ];
    private const ALLOWED = ['record', 'share', 'write'];

    public function __construct(
        private Store $store,
        private Faults $faults,
        #[\SensitiveParameter]
        private string $token,
        private string $publicUrl,
    ) {
    }

    #[Route('/api/rooms', methods: ['POST'])]
    public function make(Request $request): JsonResponse
    {
        return $this->answer($request, 'make', function (array $body) use ($request): array {
            $key = $request->headers->get('Idempotency-Key') ?? bin2hex(random_bytes(8));

            return [
                'id' => $this->store->makeRoom(
                    $key,
                    \is_string($body['name'] ?? null) ? $body['name'] : 'Room',
                    self::allowed($body),
                ),
            ];
        });
    }

    /** Which rooms there are whose names begin so. */
    #[Route('/api/rooms', methods: ['GET'])]
    public function rooms(Request $request): JsonResponse
    {
        return $this->mayAsk($request)
            ? new JsonResponse(['rooms' => $this->store->named((string) $request->query->get('named'))])
            : new JsonResponse(['error' => 'unknown token'], 401);
    }

    #[Route('/api/rooms/{room}', methods: ['PUT'])]
    public function change(string $room, Request $request): JsonResponse
    {
        return $this->answer(
            $request,
            'change',
            fn (array $body): ?array => $this->store->changeRoom(
                $room,
                \is_string($body['name'] ?? null) ? $body['name'] : 'Room',
                self::allowed($body),
            )
                ? ['changed' => true]
                : null,
            $room,
        );
    }

    #[Route('/api/rooms/{room}', methods: ['DELETE'])]
    public function retire(string $room, Request $request): JsonResponse
    {
        return $this->answer($request, 'retire', function () use ($room): array {
            $this->store->forgetRoom($room);

            return ['retired' => true];
        });
    }

    /** Lets people in, or nobody any more: whoever is in it is put out. */
    #[Route('/api/rooms/{room}/open', methods: ['PUT'])]
    public function open(string $room, Request $request): JsonResponse
    {
        return $this->answer(
            $request,
            'open',
            fn (array $body): ?array => $this->store->openRoom($room, true === ($body['open'] ?? null))
                ? ['done' => true]
                : null,
            $room,
        );
    }

    #[Route('/api/rooms/{room}/recording', methods: ['PUT'])]
    public function record(string $room, Request $request): JsonResponse
    {
        return $this->answer(
            $request,
            'record',
            function (array $body) use ($room): ?array {
                if (!$this->store->hasRoom($room)) {
                    return null;
                }
                $this->store->record($room, true === ($body['on'] ?? null), self::now());

                return ['done' => true];
            },
            $room,
        );
    }

    /** How rooms are; those that are not there are not in the answer. */
    #[Route('/api/states', methods: ['POST'])]
    public function states(Request $request): JsonResponse
    {
        return $this->answer(
            $request,
            'states',
            fn (array $body): array => [
                'rooms' => (object) $this->store->states(
                    array_values(self::texts($body['rooms'] ?? [])),
                    self::now(),
                ),
            ],
        );
    }

    #[Route('/api/rooms/{room}/members', methods: ['PUT'])]
    public function members(string $room, Request $request): JsonResponse
    {
        return $this->answer(
            $request,
            'members',
            function (array $body) use ($room): ?array {
                if (!$this->store->hasRoom($room)) {
                    return null;
                }
                $links = array_map(
                    fn (string $key): string => $this->publicUrl.'/in/'.$key,
                    $this->store->setMembers($room, self::texts($body['people'] ?? [])),
                );

                return ['links' => (object) $links];
            },
            $room,
        );
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

    /** Says something to one person alone, whatever room they are in. */
    #[Route('/api/tell', methods: ['POST'])]
    public function tell(Request $request): JsonResponse
    {
        return $this->answer($request, 'tell', function (array $body): array {
            $this->store->tell(
                \is_string($body['person'] ?? null) ? $body['person'] : '',
                \is_string($body['text'] ?? null) ? $body['text'] : '',
                self::now(),
            );

            return ['said' => true];
        });
    }

    #[Route('/api/presence', methods: ['POST'])]
    public function presence(Request $request): JsonResponse
    {
        return $this->answer(
            $request,
            'presence',
            fn (array $body): array => [
                'people' => (object) $this->store->whoIsThere(
                    array_values(self::texts($body['rooms'] ?? [])),
                    self::now(),
                ),
            ],
        );
    }

    /**
     * Orders misbehaviour: the next so many calls (of one kind, if `call` says which) are slow, fail, are refused, or
     * get nonsense for an answer.
     */
    #[Route('/control/faults', methods: ['POST'])]
    public function faults(Request $request): JsonResponse
    {
        return $this->mayAsk($request)
            ? $this->faults->ordered($request->toArray(), self::SERVICE, self::CALLS)
            : new JsonResponse(['error' => 'no'], 400);
    }

    /**
     * @param callable(array<array-key, mixed>): (array<string, mixed>|null) $do
     * @param string|null                                                    $room the room it is about
     */
    private function answer(Request $request, string $call, callable $do, ?string $room = null): JsonResponse
    {
        if (!$this->mayAsk($request)) {
            return new JsonResponse(['error' => 'unknown token'], 401);
        }
        $body = '' === $request->getContent() ? [] : $request->toArray();
        $feigned = array_map(
            fn (): string => $this->publicUrl.'/in/'.bin2hex(random_bytes(16)),
            self::texts($body['people'] ?? []),
        );

        return $this->faults->answer(
            self::SERVICE,
            $call,
            static fn (): ?array => $do($body),
            fn () => null === $room ? null : $this->store->forgetRoom($room),
            [
                'id' => 'm'.bin2hex(random_bytes(8)),
                'links' => (object) $feigned,
                'people' => new \stdClass(),
                'rooms' => new \stdClass(),
            ],
            ['id' => null, 'links' => ['somebody' => 'javascript:alert(1)'], 'people' => [1]],
        );
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return list<string>
     */
    private static function allowed(array $body): array
    {
        return array_values(array_intersect(self::ALLOWED, self::texts($body['allowed'] ?? [])));
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
