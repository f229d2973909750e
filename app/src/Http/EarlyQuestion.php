<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * A page sends its first requests (`X-Early`) before it knows whether anybody is signed in on this device. If nobody
 * is, the answer is an empty 204 instead of a 401, which browsers report as an error.
 */
#[AsEventListener]
final readonly class EarlyQuestion
{
    public const HEADER = 'X-Early';

    public function __invoke(ResponseEvent $event): void
    {
        $request = $event->getRequest();
        if (
            $event->isMainRequest()
            && $request->isMethod('GET')
            && $request->headers->has(self::HEADER)
            && 401 === $event->getResponse()->getStatusCode()
        ) {
            $event->setResponse(new Response('', 204, ['Cache-Control' => 'no-store']));
        }
    }
}
