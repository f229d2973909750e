<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * A page asks before it knows whether somebody is signed in on this device, and says so (`X-Early`). That nobody is, is an
 * answer and no error: 204.
 */
#[AsEventListener]
final readonly class EarlyQuestion
{
    public const HEADER = 'X-Early';

    public function __invoke(ResponseEvent $event): void
    {
        $request = $event->getRequest();
        if ($event->isMainRequest() && $request->isMethod('GET') && $request->headers->has(self::HEADER) && 401 === $event->getResponse()->getStatusCode()) {
            $event->setResponse(new Response('', 204, ['Cache-Control' => 'no-store']));
        }
    }
}
