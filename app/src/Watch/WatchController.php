<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch;

use FreshHuddle\App\Meter\Meters;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * For whoever watches over an instance: a balancer, a monitor, a technician.
 */
final readonly class WatchController
{
    public function __construct(private PartStates $parts, private Meters $meters, private QueueReader $queue)
    {
    }

    /** A process of the application answers; nothing else is asked. */
    #[Route('/health', methods: ['GET'])]
    public function health(): Response
    {
        return new Response("alive\n", headers: ['Content-Type' => 'text/plain', 'Cache-Control' => 'no-store']);
    }

    /** Whether lessons can go on here, and which parts are away. */
    #[Route('/health/ready', methods: ['GET'])]
    public function ready(): JsonResponse
    {
        $parts = $this->parts->read();
        $isReady = $this->parts->isReady($parts);

        return new JsonResponse(['ready' => $isReady, 'parts' => $parts], $isReady ? 200 : 503, [
            'Cache-Control' => 'no-store',
        ]);
    }

    /** Figures in the Prometheus text format, of this machine. */
    #[Route('/metrics', methods: ['GET'])]
    public function metrics(): Response
    {
        $lines = [];
        foreach ($this->parts->read() as $name => $isUp) {
            $lines[] = \sprintf('huddle_up{part="%s"} %d', $name, $isUp ? 1 : 0);
        }
        foreach ($this->queue->read() as $name => $value) {
            $lines[] = "huddle_tasks_{$name} {$value}";
        }
        foreach ($this->meters->all() as $name => $value) {
            $lines[] = str_contains($name, '_microseconds')
                ? str_replace('_microseconds', '_sum', $name).' '.$value / 1e6
                : "{$name} {$value}";
        }

        return new Response(
            implode("\n", $lines)."\n",
            headers: [
                'Content-Type' => 'text/plain; version=0.0.4',
                'Cache-Control' => 'no-store',
            ],
        );
    }
}
