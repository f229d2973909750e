<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomCapabilities;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Rooms\Meeting\RoomStatus;
use FreshHuddle\Core\Rooms\RoomPermissions;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Rooms in our own pages. The media server has a room while somebody is in it, and a list of what opens it: one token
 * for one person, put there when they ask to come in and taken off when they are in, or may not be there any more. Who
 * may be where is in our database alone.
 */
final readonly class OwnRooms implements RoomService
{
    /** A room of ours is called so, and no other. */
    private const NAME = '/^o[0-9a-f]{40}$/D';
    private const MOST_PEOPLE = 1_500;

    public function __construct(
        private MediaServer $media,
        private ClockInterface $clock,
        #[Autowire('%env(MEDIA_ROOM_KEY)%'), \SensitiveParameter]
        private string $key,
        #[Autowire('%env(MEDIA_RECORDINGS)%')]
        private string $recordings,
    ) {
    }

    public function capabilities(): RoomCapabilities
    {
        return new RoomCapabilities(keepsMembers: false, keepsRooms: false, givesSamples: false, records: true);
    }

    public function owns(string $room): bool
    {
        return 1 === preg_match(self::NAME, $room);
    }

    /**
     * What the media server calls a room. Nobody can guess it. Asks nobody.
     */
    public function roomId(string $key): string
    {
        return 'o'.substr(hash_hmac('sha256', $key, $this->key), 0, 40);
    }

    public function make(string $key, string $name, RoomPermissions $allowed): string
    {
        $room = $this->roomId($key);
        $this->open($room, true);

        return $room;
    }

    public function change(string $room, string $name, RoomPermissions $allowed): void
    {
    }

    public function retire(string $room): void
    {
        $this->media->request($room, ['request' => 'destroy'], [MediaServer::NO_SUCH_ROOM]);
    }

    public function open(string $room, bool $open): void
    {
        if (!$open) {
            $this->retire($room);

            return;
        }
        $this->media->make($room, [
            'publishers' => self::MOST_PEOPLE,
            // Nobody hears a room who has not been let in.
            'allowed' => [],
            'require_pvtid' => true,
            'notify_joining' => true,
            'audiocodec' => 'opus',
            'opus_fec' => true,
            'opus_dtx' => true,
            'videocodec' => 'vp8',
            // Who speaks, from what arrives here: 300 ms louder than that.
            'audiolevel_ext' => true,
            'audiolevel_event' => true,
            'audio_active_packets' => 15,
            'audio_level_average' => 45,
            // Sound that is recorded lies there, a file for each microphone; only our server can begin it.
            'lock_record' => true,
            'rec_dir' => $this->recordings,
        ]);
    }

    public function record(string $room, bool $on): void
    {
        $this->media->request($room, ['request' => 'enable_recording', 'record' => $on]);
    }

    public function listen(string $room): string
    {
        throw MeetingServiceFailed::answered(405);
    }

    public function states(array $rooms): array
    {
        $states = [];
        $recorded = [] === $rooms ? [] : $this->recorded();
        foreach ($rooms as $room) {
            $people = $this->participants($room);
            if (null !== $people) {
                $states[$room] = new RoomStatus(
                    '',
                    new RoomPermissions(),
                    true,
                    \count($people),
                    0,
                    \in_array($room, $recorded, true),
                    0,
                );
            }
        }

        return $states;
    }

    /**
     * Students who are not named leave the room, and tokens they have not used yet open nothing.
     */
    public function setMembers(string $room, array $people): array
    {
        $this->removeFrom($room, static fn (string $student): bool => !isset($people[$student]));

        return array_map(static fn (): string => '', $people);
    }

    /**
     * Lets somebody in, once. If they are in it already, they leave it: they come from another page.
     *
     * @return string the token that opens it
     *
     * @throws MeetingServiceFailed with `missing` where there is no such room now
     */
    public function admit(string $room, Participant $participant, RoomRight $right = RoomRight::Share): string
    {
        $this->revokeTokens($room, static fn (string $person): bool => $person === $participant->id);
        $this->kick($room, $participant->id);
        $token = implode('.', [$participant->id, $right->value, bin2hex(random_bytes(20))]);
        $this->media->request($room, ['request' => 'allowed', 'action' => 'add', 'allowed' => [$token]]);

        return $token;
    }

    /**
     * Somebody has come in: their token opens nothing any more.
     *
     * @throws MeetingServiceFailed
     */
    public function revokeToken(string $room, string $token): void
    {
        $this->media->request(
            $room,
            ['request' => 'allowed', 'action' => 'remove', 'allowed' => [$token]],
            [MediaServer::NO_SUCH_ROOM],
        );
    }

    /**
     * What a student says is sent on to nobody, or to everybody again.
     *
     * @param list<string> $sounds what the media server calls the sound they send
     *
     * @throws MeetingServiceFailed
     */
    public function mute(string $room, string $student, array $sounds, bool $mute): void
    {
        foreach ($sounds as $mid) {
            $this->media->request(
                $room,
                ['request' => 'moderate', 'id' => $student, 'mid' => $mid, 'mute' => $mute],
                [MediaServer::NO_SUCH_ROOM, MediaServer::NO_SUCH_PARTICIPANT, MediaServer::NO_SUCH_SOUND],
            );
        }
    }

    public function move(array $moves, array $among): void
    {
        foreach ($among as $room) {
            $this->removeFrom($room, static fn (string $student): bool => ($moves[$student] ?? $room) !== $room);
        }
    }

    public function say(array $rooms, string $text): void
    {
        // What is said stands on the page the room is in.
    }

    public function tell(string $person, string $text): void
    {
        // The same.
    }

    public function whoIsThere(array $rooms): array
    {
        $now = (int) $this->clock->now()->format('Uv');
        $there = [];
        foreach ($rooms as $room) {
            foreach ($this->students($this->participants($room) ?? []) as $person) {
                $there[$person] = ['room' => $room, 'since' => $now];
            }
        }

        return $there;
    }

    /**
     * Some students leave a room, and tokens they have not used yet open nothing. Two questions, and one for each of
     * them who is in it.
     *
     * @param callable(string): bool $which our id of a student
     *
     * @throws MeetingServiceFailed
     */
    private function removeFrom(string $room, callable $which): void
    {
        $isOne = static function (string $person) use ($which): bool {
            $student = Participant::studentOf($person);

            return null !== $student && $which($student);
        };
        $this->revokeTokens($room, $isOne);
        foreach (array_filter($this->participants($room) ?? [], $isOne) as $person) {
            $this->kick($room, $person);
        }
    }

    /**
     * @throws MeetingServiceFailed
     */
    private function kick(string $room, string $person): void
    {
        $this->media->request(
            $room,
            ['request' => 'kick', 'id' => $person],
            [MediaServer::NO_SUCH_ROOM, MediaServer::NO_SUCH_PARTICIPANT],
        );
    }

    /**
     * Takes tokens off the list of a room.
     *
     * @param callable(string): bool $whose what the media server calls a person
     *
     * @throws MeetingServiceFailed
     */
    private function revokeTokens(string $room, callable $whose): void
    {
        $list = $this->media->request(
            $room,
            ['request' => 'allowed', 'action' => 'add', 'allowed' => []],
            [MediaServer::NO_SUCH_ROOM],
        )['allowed'] ?? [];
        $tokens = array_filter(
            \is_array($list) ? $list : [],
            static fn (mixed $token): bool => \is_string($token) && $whose(explode('.', $token)[0]),
        );
        if ([] !== $tokens) {
            $this->media->request(
                $room,
                ['request' => 'allowed', 'action' => 'remove', 'allowed' => array_values($tokens)],
                [MediaServer::NO_SUCH_ROOM],
            );
        }
    }

    /**
     * @return list<string> rooms that are being recorded
     *
     * @throws MeetingServiceFailed
     */
    private function recorded(): array
    {
        $list = $this->media->list()['list'] ?? null;
        $recorded = [];
        foreach (\is_array($list) ? $list : [] as $room) {
            if (\is_array($room) && \is_string($room['room'] ?? null) && true === ($room['record'] ?? null)) {
                $recorded[] = $room['room'];
            }
        }

        return $recorded;
    }

    /**
     * @return list<string>|null who is in a room; null where there is none
     *
     * @throws MeetingServiceFailed
     */
    private function participants(string $room): ?array
    {
        $list = $this->media->request($room, ['request' => 'listparticipants'], [MediaServer::NO_SUCH_ROOM]);
        if (null === $list) {
            return null;
        }
        $people = [];
        foreach (\is_array($list['participants'] ?? null) ? $list['participants'] : [] as $one) {
            if (\is_array($one) && \is_string($one['id'] ?? null)) {
                $people[] = $one['id'];
            }
        }

        return $people;
    }

    /**
     * @param list<string> $people
     *
     * @return list<string> our ids
     */
    private function students(array $people): array
    {
        return array_values(array_filter(array_map(Participant::studentOf(...), $people), is_string(...)));
    }
}
