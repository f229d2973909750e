<?php

declare(strict_types=1);

namespace FreshHuddle\App\Meter;

use FreshHuddle\App\Http\QueueTime;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/**
 * Counts requests by what they are and how they ended, and times them from when the front server handed them on.
 */
#[AsEventListener]
final readonly class MeterListener
{
    /** The first that fits. */
    private const KINDS = [
        'press' => '~^/api/staff/lessons/[^/]+/(commands|debrief/.+)$~D',
        'save' => '~^/api/student/copies/[^/]+/slots/[^/]+$~D',
        'sign' => '~^/api/student/sign$~D',
        'student' => '~^/api/student/~',
        'staff' => '~^/api/~',
        'hook' => '~^/hooks/~',
    ];

    public function __construct(private Meters $meters)
    {
    }

    public function __invoke(TerminateEvent $event): void
    {
        $request = $event->getRequest();
        $kind = self::kind($request);
        $status = intdiv($event->getResponse()->getStatusCode(), 100).'xx';
        $this->meters->count('huddle_requests_total', ['kind' => $kind, 'status' => $status]);
        $begun = $request->server->get('REQUEST_TIME_FLOAT');
        if (is_numeric($begun)) {
            $seconds = microtime(true) - (float) $begun + QueueTime::waited($request) / 1_000;
            $this->meters->time('huddle_request_seconds', $seconds, ['kind' => $kind]);
        }
    }

    private static function kind(Request $request): string
    {
        foreach (self::KINDS as $kind => $pattern) {
            if (1 === preg_match($pattern, $request->getPathInfo())) {
                return $kind;
            }
        }

        return 'other';
    }
}
