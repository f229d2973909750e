<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\Core\Message;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Where the meeting service tells us who came into a room and who left. Believed only when signed, and when fresh.
 */
final readonly class MeetingHookController
{
    /** Milliseconds. */
    private const OLDEST = 300_000;
    /** So far their clock may run ahead of ours. What they saw is never later than now. */
    private const AHEAD = 5_000;

    public function __construct(
        private PresenceStore $presence,
        private Clock $clock,
        #[\SensitiveParameter]
        private string $secret,
    ) {
    }

    #[Route('/hooks/meeting', methods: ['POST'])]
    public function __invoke(Request $request): void
    {
        $body = $request->getContent();
        $signature = $request->headers->get('X-Huddle-Signature', '');
        if (!hash_equals(hash_hmac('sha256', $body, $this->secret), $signature)) {
            throw new Problem(403, new Message('live.hook_signature'));
        }
        $message = json_decode($body, true, 3);
        $room = \is_array($message) ? $message['room'] ?? null : null;
        if (
            !\is_array($message)
            || !\is_string($message['person'] ?? null)
            || !\is_int($message['at'] ?? null)
            || !(null === $room || (\is_string($room) && 1 === preg_match('/^[A-Za-z0-9_-]{1,80}$/D', $room)))
            || 1 !== preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/D', $message['person'])
        ) {
            throw new Problem(422, new Message('live.hook_unreadable'));
        }
        $now = $this->clock->ms();
        if ($message['at'] < $now - self::OLDEST || $message['at'] > $now + self::AHEAD) {
            throw new Problem(422, new Message('live.hook_time'));
        }
        $this->presence->seenByService($message['person'], $room, min($now, $message['at']));
    }
}
