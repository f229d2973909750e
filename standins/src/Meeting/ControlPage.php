<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Meeting;

use FreshHuddle\Standin\Faults;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Where a person makes the simulated meeting service misbehave, and sees what is in it. Its address has a key that
 * `bin/start` prints.
 */
final readonly class ControlPage
{
    private const MOST_ROOMS = 60;

    public function __construct(
        private Store $store,
        private Faults $faults,
        #[\SensitiveParameter]
        private string $token,
    ) {
    }

    #[Route('/control', methods: ['GET'])]
    public function show(Request $request): Response
    {
        if (!$this->mayEnter($request)) {
            return new Response('', 404);
        }
        $text = static fn (string $value): string => htmlspecialchars($value, \ENT_QUOTES | \ENT_SUBSTITUTE);
        $now = (int) (microtime(true) * 1_000);
        $fault = $this->faults->next(MeetingApi::SERVICE);
        $rooms = '';
        foreach ($this->store->latest(self::MOST_ROOMS, $now) as $room) {
            $rooms .=
                '<tr><td>'.
                $text($room['name']).
                '</td><td>'.
                ($room['open'] ? 'open' : 'closed').
                '</td><td>'.
                $text(implode(', ', $room['people'])).
                '</td></tr>';
        }
        $options = static fn (array $all): string => implode(
            '',
            array_map(
                static fn (string $option): string => "<option>{$option}</option>",
                array_filter($all, \is_string(...)),
            ),
        );

        return new Response(
            strtr((string) file_get_contents(\dirname(__DIR__, 2).'/templates/control.html'), [
                '{{fault}}' => null === $fault
                        ? 'Working normally.'
                        : $text(
                            "The next {$fault['times']} calls".
                                ('' === $fault['call'] ? '' : " ({$fault['call']})").
                                ": {$fault['kind']}.",
                        ),
                '{{kinds}}' => $options(Faults::KINDS),
                '{{calls}}' => '<option value="">any call</option>'.$options(MeetingApi::CALLS),
                '{{rooms}}' => '' === $rooms ? '<tr><td>No room yet.</td></tr>' : $rooms,
                '{{key}}' => $text(self::key($this->token)),
            ]),
            200,
            ['Cache-Control' => 'no-store'],
        );
    }

    #[Route('/control', methods: ['POST'])]
    public function order(Request $request): Response
    {
        if (!$this->mayEnter($request)) {
            return new Response('', 404);
        }
        $kind = (string) $request->request->get('kind');
        $call = (string) $request->request->get('call');
        $times = (int) $request->request->get('times');
        if (
            \in_array($kind, Faults::KINDS, true)
            && ('' === $call || \in_array($call, MeetingApi::CALLS, true))
            && $times >= 0
            && $times <= 10_000
        ) {
            $this->faults->order(MeetingApi::SERVICE, $kind, $times, '' === $call ? null : $call);
        }

        return new RedirectResponse('/control?key='.self::key($this->token), 303);
    }

    public static function key(#[\SensitiveParameter] string $token): string
    {
        return substr(hash_hmac('sha256', 'control', $token), 0, 20);
    }

    private function mayEnter(Request $request): bool
    {
        return hash_equals(self::key($this->token), (string) $request->query->get('key'));
    }
}
