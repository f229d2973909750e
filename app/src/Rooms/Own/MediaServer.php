<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * Janus, which carries sound and pictures between those who are in a room, asked by its admin interface: one request,
 * one answer, no session (`message_plugin`). It keeps nothing: after it was started anew it knows no room.
 */
final readonly class MediaServer
{
    private const PLUGIN = 'janus.plugin.videoroom';
    /** Of its room plugin. */
    public const NO_SUCH_ROOM = 426;
    public const ROOM_EXISTS = 427;
    public const NO_SUCH_PARTICIPANT = 428;
    public const NO_SUCH_SOUND = 430;

    public function __construct(
        private HttpClientInterface $mediaClient,
        #[Autowire('%env(MEDIA_ADMIN_SECRET)%'), \SensitiveParameter]
        private string $secret,
        #[Autowire('%env(MEDIA_ROOM_KEY)%'), \SensitiveParameter]
        private string $roomKey,
    ) {
    }

    /**
     * Has something done with a room.
     *
     * @param array<string, mixed> $request
     * @param list<int>            $fine    what it may say instead of doing it
     *
     * @return array<array-key, mixed>|null null where it said one of $fine
     *
     * @throws MeetingServiceFailed
     */
    public function request(string $room, array $request, array $fine = []): ?array
    {
        $answer = $this->send([
            'janus' => 'message_plugin',
            'plugin' => self::PLUGIN,
            'request' => $request + ['room' => $room, 'secret' => $this->roomSecret($room)],
        ])['response'] ?? null;
        if (!\is_array($answer)) {
            throw MeetingServiceFailed::nonsense();
        }
        $error = $answer['error_code'] ?? null;
        if (null === $error) {
            return $answer;
        }

        return \in_array($error, $fine, true)
            ? null
            : throw MeetingServiceFailed::answered(self::NO_SUCH_ROOM === $error ? 404 : 409);
    }

    /**
     * Whether it answers within a second.
     */
    public function isUp(): bool
    {
        try {
            return 'pong' === ($this->send(['janus' => 'ping'], 1)['janus'] ?? null);
        } catch (MeetingServiceFailed) {
            return false;
        }
    }

    /**
     * Has a room made, unless it is there.
     *
     * @param array<string, mixed> $settings
     *
     * @throws MeetingServiceFailed
     */
    public function make(string $room, array $settings): void
    {
        $this->request(
            $room,
            ['request' => 'create', 'admin_key' => $this->roomKey, 'is_private' => true] + $settings,
            [self::ROOM_EXISTS],
        );
    }

    /**
     * @return array<array-key, mixed> all rooms, as it describes them
     *
     * @throws MeetingServiceFailed
     */
    public function list(): array
    {
        return $this->request('', ['request' => 'list', 'admin_key' => $this->roomKey]) ?? [];
    }

    /**
     * What only our server can change a room with.
     */
    private function roomSecret(string $room): string
    {
        return substr(hash_hmac('sha256', 'room|'.$room, $this->secret), 0, 40);
    }

    /**
     * @param array<string, mixed> $message
     * @param float|null           $longest seconds; null: as long as is usual
     *
     * @return array<array-key, mixed>
     *
     * @throws MeetingServiceFailed
     */
    private function send(array $message, ?float $longest = null): array
    {
        try {
            $answer = $this->mediaClient
                ->request('POST', '', [
                    ...(null === $longest ? [] : ['max_duration' => $longest]),
                    'json' => $message + ['transaction' => bin2hex(random_bytes(6)), 'admin_secret' => $this->secret],
                ])
                ->toArray();
        } catch (\JsonException) {
            throw MeetingServiceFailed::nonsense();
        } catch (ExceptionInterface) {
            throw MeetingServiceFailed::noAnswer();
        }

        return 'error' === ($answer['janus'] ?? null) ? throw MeetingServiceFailed::nonsense() : $answer;
    }
}
