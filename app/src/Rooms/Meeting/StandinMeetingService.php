<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Meeting;

use FreshHuddle\Core\Rooms\RoomPermissions;
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

    public function __construct(
        private HttpClientInterface $meetingClient,
        private ClockInterface $clock,
        #[\SensitiveParameter]
        private string $token,
    ) {
    }

    public function capabilities(): RoomCapabilities
    {
        return new RoomCapabilities(keepsMembers: true, keepsRooms: true, givesSamples: true, records: true);
    }

    public function owns(string $room): bool
    {
        return 1 === preg_match('/^m[0-9a-f]{16}$/D', $room);
    }

    public function make(string $key, string $name, RoomPermissions $allowed): string
    {
        $id =
            $this->request(
                'POST',
                '/api/rooms',
                ['name' => $name, 'allowed' => self::allowed($allowed)],
                ['Idempotency-Key' => $key],
            )['id'] ?? null;

        return \is_string($id) && $this->owns($id)
            ? $id
            : throw MeetingServiceFailed::nonsense();
    }

    public function change(string $room, string $name, RoomPermissions $allowed): void
    {
        $this->request('PUT', "/api/rooms/{$room}", ['name' => $name, 'allowed' => self::allowed($allowed)]);
    }

    public function retire(string $room): void
    {
        $this->request('DELETE', "/api/rooms/{$room}", []);
    }

    public function open(string $room, bool $open): void
    {
        $this->request('PUT', "/api/rooms/{$room}/open", ['open' => $open]);
    }

    public function record(string $room, bool $on): void
    {
        $this->request('PUT', "/api/rooms/{$room}/recording", ['on' => $on]);
    }

    public function listen(string $room): string
    {
        try {
            $response = $this->meetingClient->request('GET', "/api/rooms/{$room}/sound", [
                'auth_bearer' => $this->token,
            ]);
            if ($response->getStatusCode() >= 300) {
                throw MeetingServiceFailed::answered($response->getStatusCode());
            }
            $sound = $response->getContent();
        } catch (ExceptionInterface) {
            throw MeetingServiceFailed::noAnswer();
        }

        return \strlen($sound) <= self::MOST_SOUND
            && str_starts_with($sound, 'RIFF')
            && 'WAVE' === substr($sound, 8, 4)
            ? $sound
            : throw MeetingServiceFailed::nonsense();
    }

    public function states(array $rooms): array
    {
        $answer = $this->request('POST', '/api/states', ['rooms' => $rooms])['rooms'] ?? null;
        $states = [];
        foreach (\is_array($answer) ? $answer : throw MeetingServiceFailed::nonsense() as $room => $state) {
            $allowed = \is_array($state) ? $state['allowed'] ?? null : null;
            if (
                !\is_array($state)
                || !\is_array($allowed)
                || !\is_string($state['name'] ?? null)
                || !\is_bool($state['open'] ?? null)
                || !\is_int($state['people'] ?? null)
                || !\is_int($state['members'] ?? null)
                || !\is_bool($state['recording'] ?? null)
                || !\is_array($state['recordings'] ?? null)
            ) {
                throw MeetingServiceFailed::nonsense();
            }
            $may = new RoomPermissions(
                \in_array('record', $allowed, true),
                \in_array('share', $allowed, true),
                \in_array('write', $allowed, true),
            );
            $states[(string) $room] = new RoomStatus(
                $state['name'],
                $may,
                $state['open'],
                $state['people'],
                $state['members'],
                $state['recording'],
                \count($state['recordings']),
            );
        }

        return $states;
    }

    public function setMembers(string $room, array $people): array
    {
        $answer = $this->request('PUT', "/api/rooms/{$room}/members", ['people' => $people])['links'] ?? null;
        $links = [];
        foreach (array_keys($people) as $person) {
            $link = \is_array($answer) ? $answer[$person] ?? null : null;
            if (
                !\is_string($link)
                || \strlen($link) > 500
                || 1 !== preg_match('~^https?://[^\s?#]+$~D', $link)
                || \in_array($link, $links, true)
            ) {
                throw MeetingServiceFailed::nonsense();
            }
            $links[$person] = $link;
        }

        return $links;
    }

    /**
     * The address that lets the browser that opens it in by a personal link, for a minute. The link alone opens
     * nothing: whoever gets hold of it is not that person. Asks nobody.
     */
    public function entryUrl(string $link): string
    {
        $until = $this->clock->now()->getTimestamp() + self::LETS_IN_FOR;

        return \sprintf(
            '%s?until=%d&let=%s',
            $link,
            $until,
            substr(hash_hmac('sha256', $until.'|'.basename($link), 'let-in|'.$this->token), 0, 40),
        );
    }

    public function move(array $moves, array $among): void
    {
        $own = array_filter($moves, $this->owns(...));
        if ([] !== $own) {
            $this->request('POST', '/api/moves', ['moves' => $own]);
        }
    }

    public function say(array $rooms, string $text): void
    {
        $this->request('POST', '/api/say', ['rooms' => $rooms, 'text' => $text]);
    }

    public function tell(string $person, string $text): void
    {
        $this->request('POST', '/api/tell', ['person' => $person, 'text' => $text]);
    }

    public function whoIsThere(array $rooms): array
    {
        $answer = $this->request('POST', '/api/presence', ['rooms' => $rooms])['people'] ?? null;
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
     * @return list<string> the words the service has for it
     */
    private static function allowed(RoomPermissions $allowed): array
    {
        return array_keys(
            array_filter([
                'record' => $allowed->record,
                'share' => $allowed->shareScreen,
                'write' => $allowed->write,
            ]),
        );
    }

    /**
     * @param array<string, mixed>  $body
     * @param array<string, string> $headers
     *
     * @return array<array-key, mixed>
     */
    private function request(string $method, string $path, array $body, array $headers = []): array
    {
        try {
            $response = $this->meetingClient->request($method, $path, [
                'json' => $body,
                'auth_bearer' => $this->token,
                'headers' => $headers,
            ]);
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
