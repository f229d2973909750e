<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Stream\Message\EndMessage;
use FreshHuddle\App\Stream\Message\StreamMessage;
use FreshHuddle\App\Stream\Message\UnstoredMessage;
use Psr\Log\LoggerInterface;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/**
 * Tells open pages that something changed. The database is the truth and this is a hint: it goes out after the commit
 * of the change it tells of; when it cannot be delivered, pages find out by asking.
 */
final readonly class Stream
{
    /** nchan takes up to 255 in one post. */
    private const MOST_CHANNELS_A_POST = 200;
    /** A device listens at its channel, and at the one of this name for what is not stored. */
    private const UNSTORED = '-now';

    public function __construct(
        private HttpClientInterface $streamClient,
        private Transaction $transaction,
        private ListenersReader $listeners,
        private LoggerInterface $logger,
    ) {
    }

    /**
     * @param list<Audience> $audiences
     */
    public function publish(array $audiences, StreamMessage $message): void
    {
        $this->transaction->afterCommit(fn () => $this->send($audiences, $message));
    }

    /**
     * @param list<Audience> $audiences
     */
    private function send(array $audiences, StreamMessage $message): void
    {
        $sent = [];
        foreach ($this->listeners->forAudiences($audiences) as $beside => $channels) {
            $body = json_encode(
                self::body($message) + (array) json_decode($beside, true, 2, \JSON_THROW_ON_ERROR),
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE,
            );
            array_push(
                $sent,
                ...$message instanceof UnstoredMessage
                    ? $this->post('/publish-unstored', 'POST', self::unstored($channels), $body)
                    : $this->post('/publish', 'POST', $channels, $body),
            );
        }
        $this->wait($sent);
    }

    /**
     * The right to listen has ended: the page is told, and the connection is closed, once that stands.
     *
     * @param list<string> $channels
     */
    public function end(array $channels): void
    {
        $this->transaction->afterCommit(function () use ($channels): void {
            $body = json_encode(self::body(new EndMessage()), \JSON_THROW_ON_ERROR);
            $this->wait($this->post('/publish', 'POST', $channels, $body));
            $this->wait([
                ...$this->post('/publish', 'DELETE', $channels, null),
                ...$this->post('/publish-unstored', 'DELETE', self::unstored($channels), null),
            ]);
        });
    }

    /**
     * @return array<array-key, mixed>
     */
    private static function body(StreamMessage $message): array
    {
        return ['kind' => $message::kind()] + get_object_vars($message);
    }

    /**
     * @param list<string> $channels
     *
     * @return list<string>
     */
    private static function unstored(array $channels): array
    {
        return array_map(static fn (string $channel): string => $channel.self::UNSTORED, $channels);
    }

    /**
     * @param list<string> $channels
     *
     * @return list<ResponseInterface>
     */
    private function post(string $path, string $method, array $channels, ?string $body): array
    {
        return array_map(
            fn (array $some): ResponseInterface => $this->streamClient->request(
                $method,
                $path.'?c='.implode(',', $some),
                [
                    'body' => $body,
                    'headers' => ['Content-Type' => 'application/json'],
                ],
            ),
            array_chunk(array_values(array_unique($channels)), self::MOST_CHANNELS_A_POST),
        );
    }

    /**
     * @param list<ResponseInterface> $sent
     */
    private function wait(array $sent): void
    {
        foreach ($sent as $response) {
            try {
                $status = $response->getStatusCode();
                if ($status >= 400 && 404 !== $status) {
                    // 404: nobody has ever listened there
                    $this->logger->warning('The stream answered {status}.', ['status' => $status]);
                }
            } catch (ExceptionInterface) {
                $this->logger->warning('The stream did not take a message.');
            }
        }
    }
}
