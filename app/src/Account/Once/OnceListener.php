<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Once;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Message;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ControllerEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * A form that creates something has a key of its own (`Idempotency-Key`): pressed twice, or sent again over a bad line,
 * it creates one thing, and the second is answered as the first was. Commands of a lesson keep their keys with the
 * lesson.
 */
final readonly class OnceListener
{
    public const PATTERN = '/^[A-Za-z0-9-]{8,64}$/D';
    private const ATTRIBUTE = '_once';

    public function __construct(private OnceStore $store, private Security $security)
    {
    }

    #[AsEventListener]
    public function onController(ControllerEvent $event): void
    {
        $request = $event->getRequest();
        $key = $request->headers->get('Idempotency-Key', '');
        $user = $this->security->getUser();
        if (
            '' === $key
            || !$event->isMainRequest()
            || !$request->isMethod('POST')
            || !($user instanceof Teacher)
            || str_ends_with($request->getPathInfo(), '/commands')
        ) {
            return;
        }
        if (1 !== preg_match(self::PATTERN, $key)) {
            throw new Problem(400, new Message('http.idempotency_key'));
        }
        $answer = $this->store->begin(
            $user->id,
            $key,
            hash('xxh128', $request->getPathInfo()."\n".$request->getContent()),
        );
        if (null !== $answer) {
            $event->setController(static fn (): JsonResponse => new JsonResponse($answer[1], $answer[0], [], true));

            return;
        }
        $request->attributes->set(self::ATTRIBUTE, [$user->id, $key]);
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        [$owner, $key] = self::press($event->getRequest());
        if (null === $owner || null === $key) {
            return;
        }
        $response = $event->getResponse();
        $response->getStatusCode() < 300
            ? $this->store->done($owner, $key, $response->getStatusCode(), (string) $response->getContent())
            : $this->store->undone($owner, $key);
    }

    /**
     * @return array{string|null, string|null} who pressed, and the key
     */
    private static function press(Request $request): array
    {
        $press = $request->attributes->get(self::ATTRIBUTE);

        return \is_array($press) && \is_string($press[0] ?? null) && \is_string($press[1] ?? null)
            ? [$press[0], $press[1]]
            : [null, null];
    }
}
