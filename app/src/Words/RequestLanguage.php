<?php

declare(strict_types=1);

namespace FreshHuddle\App\Words;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/**
 * Answers in the language of the page that asks, chosen as nginx chooses the page: the cookie `language`, else the
 * first language the browser asks for; English where there is no catalogue of it.
 */
#[AsEventListener(KernelEvents::REQUEST, priority: 50)]
final readonly class RequestLanguage
{
    public const COOKIE = 'language';

    public function __construct(private Languages $languages)
    {
    }

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $chosen = $request->cookies->get(self::COOKIE);
        $wanted =
            \is_string($chosen) && '' !== $chosen ? $chosen : explode('_', $request->getLanguages()[0] ?? 'en')[0];
        $request->setLocale(\in_array($wanted, $this->languages->all, true) ? $wanted : 'en');
    }
}
