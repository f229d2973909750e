<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

use Psr\Log\LoggerInterface;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/**
 * Tells open pages that something changed. The database is the truth and this is a hint: call it after the commit; when
 * it cannot be delivered, pages find out by asking.
 */
final readonly class Stream
{
    private const MOST_CHANNELS_A_POST = 100;

    public function __construct(private HttpClientInterface $streamClient, private LoggerInterface $logger)
    {
    }

    /**
     * @param list<string>         $channels see Channel
     * @param array<string, mixed> $message  goes out as JSON to everybody on these channels
     */
    public function publish(array $channels, array $message): void
    {
        $channels = array_values(array_unique($channels));
        $body = json_encode($message, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        $sent = array_map(fn (array $some): ResponseInterface => $this->streamClient->request('POST', '/publish?c='.implode(',', $some), [
            'body' => $body,
            'headers' => ['Content-Type' => 'application/json'],
        ]), array_chunk($channels, self::MOST_CHANNELS_A_POST));
        foreach ($sent as $response) {
            try {
                $response->getHeaders();
            } catch (ExceptionInterface) {
                $this->logger->warning('The stream did not take a message.', ['channels' => \count($channels)]);
            }
        }
    }
}
