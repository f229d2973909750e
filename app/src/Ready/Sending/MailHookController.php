<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Message;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Where whoever carries our mail says, signed, that a letter came back.
 */
final readonly class MailHookController
{
    /** Mail may take days to come back. Milliseconds. */
    private const OLDEST = 7 * 86_400_000;
    private const AHEAD = 60_000;

    public function __construct(
        private DeliveryStore $store,
        private Stream $stream,
        private Clock $clock,
        #[\SensitiveParameter]
        private string $secret,
    ) {
    }

    #[Route('/hooks/mail', methods: ['POST'])]
    public function __invoke(Request $request): Response
    {
        $body = $request->getContent();
        if (
            !hash_equals(hash_hmac('sha256', $body, $this->secret), $request->headers->get('X-Huddle-Signature', ''))
        ) {
            throw new Problem(403, new Message('ready.hook_signature'));
        }
        $message = json_decode($body, true, 3);
        if (
            !\is_array($message)
            || !\is_string($message['message'] ?? null)
            || !\is_string($message['address'] ?? null)
            || !\is_string($message['why'] ?? null)
            || !\is_int($message['at'] ?? null)
            || 1 !== preg_match('/^<?([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})\.[0-9a-f]+@/', $message['message'], $m)
        ) {
            throw new Problem(422, new Message('ready.hook_unreadable'));
        }
        $now = $this->clock->ms();
        if ($message['at'] < $now - self::OLDEST || $message['at'] > $now + self::AHEAD) {
            throw new Problem(422, new Message('ready.hook_time'));
        }
        $lesson = $this->store->cameBack(
            $m[1],
            $message['address'],
            trim((string) preg_replace('/[^\P{C} ]+/u', '', $message['why'])),
        );
        if (null !== $lesson) {
            $this->stream->publish([Audience::staff($lesson)], new LessonHint());
        }

        return new Response(null, 204);
    }
}
