<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Meeting;

use Psr\Clock\ClockInterface;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * The meeting service that ships with the product, over HTTP. Its answers are checked as a stranger's would be.
 */
final readonly class StandinMeetingService implements RoomService
{
    /** Seconds. */
    private const LETS_IN_FOR = 60;

    public function __construct(private HttpClientInterface $meetingClient, private ClockInterface $clock, #[\SensitiveParameter] private string $token)
    {
    }

    public function make(string $key, string $name): string
    {
        $id = $this->ask('POST', '/api/rooms', ['name' => $name], ['Idempotency-Key' => $key])['id'] ?? null;

        return \is_string($id) && 1 === preg_match('/^[A-Za-z0-9_-]{1,80}$/D', $id) ? $id : throw MeetingServiceFailed::nonsense();
    }

    public function setMembers(string $room, array $people): array
    {
        $answer = $this->ask('PUT', "/api/rooms/{$room}/members", ['people' => $people])['links'] ?? null;
        $links = [];
        foreach (array_keys($people) as $person) {
            $link = \is_array($answer) ? $answer[$person] ?? null : null;
            if (!\is_string($link) || \strlen($link) > 500 || 1 !== preg_match('~^https?://[^\s?#]+$~D', $link) || \in_array($link, $links, true)) {
                throw MeetingServiceFailed::nonsense();
            }
            $links[$person] = $link;
        }

        return $links;
    }

    public function letIn(string $link): string
    {
        $until = $this->clock->now()->getTimestamp() + self::LETS_IN_FOR;

        return \sprintf('%s?until=%d&let=%s', $link, $until, substr(hash_hmac('sha256', $until.'|'.basename($link), 'let-in|'.$this->token), 0, 40));
    }

    public function move(array $moves): void
    {
        $this->ask('POST', '/api/moves', ['moves' => $moves]);
    }

    public function say(array $rooms, string $text): void
    {
        $this->ask('POST', '/api/say', ['rooms' => $rooms, 'text' => $text]);
    }

    public function whoIsThere(array $rooms): array
    {
        $answer = $this->ask('POST', '/api/presence', ['rooms' => $rooms])['people'] ?? null;
        $there = [];
        foreach (\is_array($answer) ? $answer : throw MeetingServiceFailed::nonsense() as $person => $seen) {
            if (!\is_array($seen) || !\is_string($seen['room'] ?? null) || !\is_int($seen['since'] ?? null)) {
                throw MeetingServiceFailed::nonsense();
            }
            $there[(string) $person] = ['room' => $seen['room'], 'since' => $seen['since']];
        }

        return $there;
    }

    /**
     * @param array<string, mixed>  $body
     * @param array<string, string> $headers
     *
     * @return array<array-key, mixed>
     */
    private function ask(string $method, string $path, array $body, array $headers = []): array
    {
        try {
            $response = $this->meetingClient->request($method, $path, ['json' => $body, 'auth_bearer' => $this->token, 'headers' => $headers]);
            $status = $response->getStatusCode();
            if ($status >= 300) {
                throw MeetingServiceFailed::answered($status);
            }

            return $response->toArray();
        } catch (\JsonException) {
            throw MeetingServiceFailed::nonsense();
        } catch (ExceptionInterface $e) {
            throw MeetingServiceFailed::noAnswer();
        }
    }
}
