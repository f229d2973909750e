<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Own\OwnRooms;
use FreshHuddle\App\Rooms\Own\Participant;
use FreshHuddle\Core\Message;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Where the media server tells us who came into a room of our own and who left. It has the password; and where it is
 * not heard, it is asked again (WatchTaskHandler).
 */
final readonly class MediaHookController
{
    private const MOST_EVENTS = 5_000;

    public function __construct(
        private PresenceStore $presence,
        private OwnRooms $rooms,
        private Clock $clock,
        #[Autowire('%env(MEDIA_HOOK_SECRET)%'), \SensitiveParameter]
        private string $secret,
    ) {
    }

    #[Route('/hooks/media', methods: ['POST'])]
    public function __invoke(Request $request): void
    {
        if (!hash_equals($this->secret, $request->getPassword() ?? '')) {
            throw new Problem(403, new Message('live.hook_signature'));
        }
        $events = json_decode($request->getContent(), true, 12);
        if (!\is_array($events)) {
            throw new Problem(422, new Message('live.hook_unreadable'));
        }
        foreach (array_is_list($events) ? \array_slice($events, 0, self::MOST_EVENTS) : [$events] as $event) {
            $data = \is_array($event) && \is_array($event['event'] ?? null) ? $event['event']['data'] ?? null : null;
            if (
                \is_array($data)
                && \is_string($data['room'] ?? null)
                && $this->rooms->owns($data['room'])
                && \is_string($data['id'] ?? null)
                && \is_string($data['event'] ?? null)
                && 1 === preg_match(Participant::PATTERN, $data['id'])
            ) {
                $at = \is_int($event['timestamp'] ?? null) ? intdiv($event['timestamp'], 1_000) : $this->clock->ms();
                $token = \is_string($data['token'] ?? null) ? $data['token'] : null;
                $this->happened($data['event'], $data['room'], $data['id'], $token, $at);
            }
        }
    }

    /**
     * @param int $at milliseconds since 1970, by the clock over there
     */
    private function happened(string $what, string $room, string $person, ?string $token, int $at): void
    {
        $at = min($at, $this->clock->ms());
        if ('joined' === $what && null !== $token) {
            try {
                $this->rooms->revokeToken($room, $token);
            } catch (MeetingServiceFailed) {
                // It is of use to nobody else: it says who may come in by it.
            }
        }
        $student = Participant::studentOf($person);
        if (null === $student) {
            return;
        }
        match ($what) {
            'joined' => $this->presence->seenByService($student, $room, $at),
            'leaving', 'kicked' => $this->presence->seenByService($student, null, $at, $room),
            default => null,
        };
    }
}
