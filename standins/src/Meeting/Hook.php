<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * Tells the application, signed, that somebody came or went.
 */
final readonly class Hook
{
    public function __construct(
        private HttpClientInterface $client,
        private string $hookUrl,
        #[\SensitiveParameter]
        private string $hookSecret,
    ) {
    }

    /**
     * @return bool whether it was heard; if not it may be told again, and the application asks by itself
     */
    public function tell(string $person, ?string $room, int $at): bool
    {
        $body = json_encode(['person' => $person, 'room' => $room, 'at' => $at], \JSON_THROW_ON_ERROR);
        try {
            return 500 >
                $this->client
                    ->request('POST', $this->hookUrl, [
                        'body' => $body,
                        'headers' => [
                            'Content-Type' => 'application/json',
                            'X-Huddle-Signature' => hash_hmac('sha256', $body, $this->hookSecret),
                        ],
                    ])
                    ->getStatusCode();
        } catch (ExceptionInterface) {
            return false;
        }
    }
}
