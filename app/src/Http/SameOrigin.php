<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use FreshHuddle\Core\Message;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * Whatever changes something comes from our own pages: a browser says where it comes from, and another page's word is
 * refused, whatever the address is spelt like. Programs that are not browsers send no such header and carry no cookies
 * by themselves. A body is JSON, which a form of another page cannot send.
 */
#[AsEventListener(priority: 512)]
final readonly class SameOrigin
{
    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe()) {
            return;
        }
        $site = $request->headers->get('Sec-Fetch-Site');
        $origin = $request->headers->get('Origin');
        if (
            (null !== $site && 'same-origin' !== $site)
            || (null !== $origin && $origin !== $request->getSchemeAndHttpHost())
        ) {
            throw new Problem(403, new Message('http.other_page'));
        }
        if (null !== $request->headers->get('Content-Type') && 'json' !== $request->getContentTypeFormat()) {
            throw new Problem(415, new Message('http.not_json'));
        }
    }
}
