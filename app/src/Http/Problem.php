<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * An answer that says what is wrong, where, and in words a person can act on (RFC 9457).
 */
final class Problem extends HttpException
{
    /**
     * @param int                   $status  400 to 599
     * @param string                $message a sentence for the person in front of the screen
     * @param string|null           $field   the field at fault, as the request names it
     * @param array<string, string> $headers
     */
    public function __construct(int $status, string $message, public readonly ?string $field = null, array $headers = [])
    {
        parent::__construct($status, $message, null, $headers);
    }

    public static function notFound(): self
    {
        return new self(404, 'There is no such thing here, or it is not yours.');
    }

    public function response(): JsonResponse
    {
        $body = ['type' => 'about:blank', 'title' => $this->getMessage(), 'status' => $this->getStatusCode()];
        if (null !== $this->field) {
            $body['errors'] = [['field' => $this->field, 'message' => $this->getMessage()]];
        }

        return self::json($body, $this->getStatusCode(), $this->getHeaders());
    }

    /**
     * @param array<string, mixed>    $body
     * @param array<array-key, mixed> $headers
     */
    public static function json(array $body, int $status, array $headers = []): JsonResponse
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
