<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Portal;

use FreshHuddle\Standin\Faults;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/**
 * What programs can ask of the simulated course portal. Its misbehaviour can be ordered.
 *
 * @phpstan-import-type Post from PortalStore
 */
#[Route('/portal')]
final readonly class PortalApi
{
    public const SERVICE = 'portal';
    public const CALLS = ['course', 'post', 'change', 'withdraw', 'posts'];

    public function __construct(
        private PortalStore $store,
        private Faults $faults,
        #[\SensitiveParameter]
        private string $portalToken,
    ) {
    }

    #[Route('/api/courses/{course}', methods: ['PUT'])]
    public function course(string $course, Request $request): JsonResponse
    {
        return $this->answer($request, 'course', function (array $body) use ($course): array {
            $this->store->putCourse(
                $course,
                self::text($body, 'name'),
                self::texts($body['students'] ?? []),
                self::texts($body['staff'] ?? []),
            );

            return ['done' => true];
        });
    }

    #[Route('/api/courses/{course}/posts', methods: ['POST'])]
    public function post(string $course, Request $request): JsonResponse
    {
        return $this->answer(
            $request,
            'post',
            fn (array $body): ?array => null === $this->store->courseName($course)
                ? null
                : [
                    'id' => $this->store->post(
                        $request->headers->get('Idempotency-Key') ?? bin2hex(random_bytes(8)),
                        $course,
                        self::read($body),
                    ),
                ],
        );
    }

    #[Route('/api/courses/{course}/posts', methods: ['GET'])]
    public function posts(string $course, Request $request): JsonResponse
    {
        return $this->answer($request, 'posts', fn (): array => ['posts' => (object) $this->store->posts($course)]);
    }

    #[Route('/api/posts/{post}', methods: ['PUT'])]
    public function change(string $post, Request $request): JsonResponse
    {
        return $this->answer(
            $request,
            'change',
            fn (array $body): ?array => $this->store->change($post, self::read($body)) ? ['done' => true] : null,
            $post,
        );
    }

    #[Route('/api/posts/{post}', methods: ['DELETE'])]
    public function withdraw(string $post, Request $request): JsonResponse
    {
        return $this->answer($request, 'withdraw', function () use ($post): array {
            $this->store->withdraw($post);

            return ['done' => true];
        });
    }

    /** Orders misbehaviour, as at the meeting service. */
    #[Route('/control/faults', methods: ['POST'])]
    public function order(Request $request): JsonResponse
    {
        return $this->mayAsk($request)
            ? $this->faults->ordered($request->toArray(), self::SERVICE, self::CALLS)
            : new JsonResponse(['error' => 'no'], 400);
    }

    /**
     * @param callable(array<array-key, mixed>): (array<string, mixed>|null) $do
     * @param string|null                                                    $post the post it is about
     */
    private function answer(Request $request, string $call, callable $do, ?string $post = null): JsonResponse
    {
        if (!$this->mayAsk($request)) {
            return new JsonResponse(['error' => 'unknown token'], 401);
        }
        $body = '' === $request->getContent() ? [] : $request->toArray();

        return $this->faults->answer(
            self::SERVICE,
            $call,
            static fn (): ?array => $do($body),
            fn () => null === $post ? null : $this->store->withdraw($post),
            ['id' => 'p'.bin2hex(random_bytes(8)), 'done' => true, 'posts' => new \stdClass()],
            [
                'id' => '<script>alert(1)</script>',
                'posts' => ['<script>' => ['title' => '<script>alert(1)</script>']],
            ],
        );
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return Post
     */
    private static function read(array $body): array
    {
        return [
            'title' => self::text($body, 'title'),
            'text' => self::text($body, 'text'),
            'audience' => array_values(self::texts($body['audience'] ?? [])),
            'unit' => self::text($body, 'unit'),
            'due' => \is_int($body['due'] ?? null) ? $body['due'] : null,
            'counted' => true === ($body['counted'] ?? null),
            'link' => self::text($body, 'link'),
        ];
    }

    /**
     * @param array<array-key, mixed> $body
     */
    private static function text(array $body, string $key): string
    {
        return \is_string($body[$key] ?? null) ? $body[$key] : '';
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

    private function mayAsk(Request $request): bool
    {
        return hash_equals('Bearer '.$this->portalToken, $request->headers->get('Authorization', ''));
    }
}
