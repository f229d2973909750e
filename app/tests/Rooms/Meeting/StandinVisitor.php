<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Rooms\Meeting;

use FreshHuddle\App\Rooms\Meeting\StandinMeetingService;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * Opens pages of the simulated meeting service, as a browser does that is shown in.
 */
final class StandinVisitor implements Visitor
{
    private string $cookie = '';

    public function __construct(private readonly StandinMeetingService $service)
    {
    }

    public function invite(string $room, string $person, array $links): string
    {
        return $links[$person] ?? '';
    }

    public function enter(string $invitation): bool
    {
        $ticket = self::http()->request('GET', $this->service->entryUrl($invitation));
        $this->cookie = explode(';', $ticket->getHeaders(false)['set-cookie'][0] ?? '')[0];
        $status = self::http()
            ->request('GET', $invitation, ['headers' => ['Cookie' => $this->cookie]])
            ->getStatusCode();
        $this->follow($invitation, null);

        return 200 === $status;
    }

    public function follow(string $invitation, ?string $to): void
    {
        for ($at = $invitation; null !== $at;) {
            $go = json_decode(
                self::http()
                    ->request('POST', $at.'/here', ['headers' => ['Cookie' => $this->cookie]])
                    ->getContent(false),
                true,
            );
            $at = \is_array($go) && \is_string($go['go'] ?? null) ? preg_replace('~/in/.*$~', $go['go'], $at) : null;
        }
    }

    private static function http(): HttpClientInterface
    {
        return HttpClient::create(['max_redirects' => 0]);
    }
}
