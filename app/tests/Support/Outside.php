<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use Symfony\Component\HttpClient\HttpClient;

/**
 * The stand-ins of the instance that runs, asked and ordered about as a person at their control pages would.
 */
final class Outside
{
    public static function behave(): void
    {
        self::fault('meeting', 'fail', 0);
        self::fault('portal', 'fail', 0);
    }

    public static function fault(string $service, string $kind, int $times, ?string $call = null): void
    {
        $path = 'portal' === $service ? '/portal/control/faults' : '/control/faults';
        self::ask('POST', $path, 'portal' === $service ? 'PORTAL_TOKEN' : 'MEETING_TOKEN', [
            'kind' => $kind,
            'times' => $times,
            'call' => $call,
        ]);
    }

    /**
     * @param list<string> $rooms
     *
     * @return list<string> those that the meeting service has
     */
    public static function rooms(array $rooms): array
    {
        $states = self::ask('POST', '/api/states', 'MEETING_TOKEN', ['rooms' => $rooms])['rooms'] ?? [];

        return \is_array($states) ? array_map(strval(...), array_keys($states)) : [];
    }

    /**
     * @return int how many rooms the meeting service has whose names begin so
     */
    public static function roomsNamed(string $beginning): int
    {
        $count = 0;
        $rooms = self::ask('GET', '/api/rooms?named='.rawurlencode($beginning), 'MEETING_TOKEN')['rooms'] ?? [];
        foreach ((array) $rooms as $name) {
            $count += \is_string($name) && str_starts_with($name, $beginning) ? 1 : 0;
        }

        return $count;
    }

    /** A short recording of a room. */
    public static function record(string $room): void
    {
        self::ask('PUT', "/api/rooms/{$room}/recording", 'MEETING_TOKEN', ['on' => true]);
        self::ask('PUT', "/api/rooms/{$room}/recording", 'MEETING_TOKEN', ['on' => false]);
    }

    public static function forget(string $room): void
    {
        self::ask('DELETE', "/api/rooms/{$room}", 'MEETING_TOKEN', []);
    }

    /**
     * @return list<array{subject: string, text: string, html: string, messageId: string}> what is in a mailbox, the
     *     latest first
     */
    public static function mail(string $to): array
    {
        $port = 1 + (int) parse_url(self::setting('MAILER_DSN'), \PHP_URL_PORT);
        $all = HttpClient::create()
            ->request('GET', "http://127.0.0.1:{$port}/messages", ['query' => ['to' => $to]])
            ->toArray();
        $mail = [];
        foreach ($all as $one) {
            $text = static fn (string $field): string => \is_array($one) && \is_string($one[$field] ?? null)
                ? $one[$field]
                : '';
            $mail[] = [
                'subject' => $text('subject'),
                'text' => $text('text'),
                'html' => $text('html'),
                'messageId' => $text('messageId'),
            ];
        }

        return $mail;
    }

    public static function setting(string $name): string
    {
        $value = $_ENV[$name] ?? getenv($name);

        return \is_string($value) ? $value : throw new \LogicException("{$name} is not set: no instance runs.");
    }

    /**
     * @param array<string, mixed>|null $body
     *
     * @return array<array-key, mixed>
     */
    private static function ask(string $method, string $path, string $token, ?array $body = null): array
    {
        return HttpClient::create()
            ->request(
                $method,
                self::setting('MEETING_URL').$path,
                (null === $body ? [] : ['json' => $body]) + ['auth_bearer' => self::setting($token)],
            )
            ->toArray();
    }
}
