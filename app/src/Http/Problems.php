<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use FreshHuddle\App\Refusal\Refusal;
use FreshHuddle\App\Refusal\RefusalKind;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Validator\ConstraintViolationListInterface;

/**
 * Problem documents: what is wrong, where, and in words a person can act on (RFC 9457).
 */
final readonly class Problems
{
    /**
     * @param \Closure(): Words $words only where something is wrong: most requests are spared the catalogues
     */
    public function __construct(#[AutowireServiceClosure(Words::class)] private \Closure $words)
    {
    }

    public function response(Problem|Refusal $why): JsonResponse
    {
        return $why instanceof Refusal
            ? $this->document(
                self::status($why->kind),
                $why->says,
                $why->field,
                null === $why->retryAfter ? [] : ['Retry-After' => (string) $why->retryAfter],
            )
            : $this->document($why->getStatusCode(), $why->says, $why->field, $why->getHeaders());
    }

    public function invalid(ConstraintViolationListInterface $violations): JsonResponse
    {
        $errors = [];
        foreach ($violations as $violation) {
            $errors[] = ['field' => $violation->getPropertyPath(), 'message' => (string) $violation->getMessage()];
        }

        return self::json(
            [
                'type' => 'about:blank',
                'title' => $errors[0]['message'] ?? ($this->words)()->say(new Message('http.unreadable')),
                'status' => 422,
                'errors' => $errors,
            ],
            422,
        );
    }

    /**
     * @param array<array-key, mixed> $headers
     */
    private function document(int $status, Message $says, ?string $field, array $headers): JsonResponse
    {
        $title = ($this->words)()->say($says);

        return self::json(
            ['type' => 'about:blank', 'title' => $title, 'status' => $status] +
                (null === $field ? [] : ['errors' => [['field' => $field, 'message' => $title]]]),
            $status,
            $headers,
        );
    }

    private static function status(RefusalKind $kind): int
    {
        return match ($kind) {
            RefusalKind::Unusable => 422,
            RefusalKind::Outdated => 409,
            RefusalKind::Missing => 404,
            RefusalKind::NotAllowed => 403,
            RefusalKind::NotSignedIn => 401,
            RefusalKind::TooMuch => 429,
        };
    }

    /**
     * @param array<string, mixed>    $body
     * @param array<array-key, mixed> $headers
     */
    private static function json(array $body, int $status, array $headers = []): JsonResponse
    {
        $response = new JsonResponse($body, $status);
        foreach ($headers as $name => $value) {
            if (\is_string($value)) {
                $response->headers->set((string) $name, $value);
            }
        }
        $response->headers->set('Content-Type', 'application/problem+json');

        return $response;
    }
}
