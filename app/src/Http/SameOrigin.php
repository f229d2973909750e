<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * Requests that change something come from our own pages: a browser says where it comes from, and another page's word
 * is refused. Programs that are not browsers send no such header and carry no cookies by themselves.
 */
#[AsEventListener(priority: 32)]
final readonly class SameOrigin
{
    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe() || !str_starts_with($request->getPathInfo(), '/api/')) {
            return;
        }
        $site = $request->headers->get('Sec-Fetch-Site');
        $origin = $request->headers->get('Origin');
        if ((null !== $site && 'same-origin' !== $site) || (null !== $origin && $origin !== $request->getSchemeAndHttpHost())) {
            throw new Problem(403, 'This came from another page and was not done.');
        }
    }
}
