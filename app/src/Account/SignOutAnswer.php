<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Http\Event\LogoutEvent;

/**
 * A page asked to be signed out, not to be sent anywhere.
 */
#[AsEventListener(dispatcher: 'security.event_dispatcher.staff')]
final readonly class SignOutAnswer
{
    public function __invoke(LogoutEvent $event): void
    {
        $event->setResponse(new Response(status: 204));
    }
}
