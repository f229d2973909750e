<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * Says in every answer how long its request waited for its turn (Server Timing, W3C): a page that hears of a wait sends
 * less often by itself, and a slow line alone is no reason to.
 */
#[AsEventListener]
final readonly class QueueTime
{
    public function __invoke(ResponseEvent $event): void
    {
        $waited = self::waited($event->getRequest());
        if ($event->isMainRequest() && $waited > 0) {
            $event->getResponse()->headers->set('Server-Timing', "queue;dur={$waited}");
        }
    }

    /**
     * @return int milliseconds from when the front server handed it on until it was begun; 0 where that is not known
     */
    public static function waited(Request $request): int
    {
        $handedOn = $request->server->get('HUDDLE_HANDED_ON');
        $begun = $request->server->get('REQUEST_TIME_FLOAT');

        return is_numeric($handedOn) && is_numeric($begun)
            ? max(0, (int) round(1_000 * ((float) $begun - (float) $handedOn)))
            : 0;
    }
}
