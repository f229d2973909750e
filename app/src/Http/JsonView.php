<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ViewEvent;

/**
 * Controllers return response DTOs; this makes JSON of them. Nothing here may be kept by a cache on the way.
 */
#[AsEventListener]
final readonly class JsonView
{
    public function __invoke(ViewEvent $event): void
    {
        $result = $event->getControllerResult();
        $cookies = $result instanceof ResponseWithCookies ? $result->cookies : [];
        $result = $result instanceof ResponseWithCookies ? $result->answer : $result;
        $response = null === $result ? new Response(status: 204) : new JsonResponse($result);
        foreach ($cookies as $cookie) {
            $response->headers->setCookie($cookie);
        }
        $response->headers->set('Cache-Control', 'no-store');
        $event->setResponse($response);
    }
}
