<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\HttpFoundation\Request;

/**
 * How long a request waited for its turn on this machine.
 */
final class QueueTime
{
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
