<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Tests;

use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * The simulated meeting service, asked as a stranger would.
 */
final class MeetingServiceTest extends TestCase
{
    private HttpClientInterface $http;

    protected function setUp(): void
    {
        $this->http = HttpClient::createForBaseUri(self::setting('MEETING_URL'), [
            'auth_bearer' => self::setting('MEETING_TOKEN'),
        ]);
    }

    public function test_without_the_token_nothing_is_told(): void
    {
        foreach (['/api/rooms', '/api/moves', '/api/say', '/api/presence'] as $path) {
            self::assertSame(
                401,
                HttpClient::createForBaseUri(self::setting('MEETING_URL'))
                    ->request('POST', $path, ['json' => []])
                    ->getStatusCode(),
            );
        }
    }

    public function test_the_same_key_gives_the_same_room(): void
    {
        $make = fn (): mixed => $this->http
            ->request('POST', '/api/rooms', [
                'json' => ['name' => 'R'],
                'headers' => ['Idempotency-Key' => 'test-key'],
            ])
            ->toArray()['id'];
        self::assertSame($make(), $make());
    }

    public function test_names_are_shown_as_text_and_who_is_there_is_seen(): void
    {
        $room = $this->http->request('POST', '/api/rooms', ['json' => ['name' => '<b>Room</b>']])->toArray()['id'];
        self::assertIsString($room);
        $links = $this->http
            ->request('PUT', "/api/rooms/{$room}/members", [
                'json' => ['people' => ['p1' => '<i>Ada</i>', 'p2' => 'Ben']],
            ])
            ->toArray()['links'];
        self::assertIsArray($links);
        $in = static function (string $who) use ($links): string {
            self::assertIsString($links[$who]);

            return (string) parse_url($links[$who], \PHP_URL_PATH);
        };
        $browser = ['headers' => ['Cookie' => $this->letIn($in('p1'))]];
        $page = $this->http->request('GET', $in('p1'), $browser)->getContent();
        self::assertStringNotContainsString('<b>Room', $page);
        self::assertStringNotContainsString('<i>Ada', $page);
        self::assertSame(
            ['<i>Ada</i>'],
            $this->http->request('POST', $in('p1').'/here', $browser)->toArray()['people'],
        );
        $this->http
            ->request('PUT', "/api/rooms/{$room}/members", ['json' => ['people' => ['p2' => 'Ben']]])
            ->getContent();
        self::assertSame(
            404,
            $this->http->request('GET', $in('p1'), $browser)->getStatusCode(),
            'who is no member any more cannot enter',
        );
    }

    public function test_a_link_that_was_passed_on_is_nobody(): void
    {
        $room = $this->http->request('POST', '/api/rooms', ['json' => ['name' => 'R']])->toArray()['id'];
        self::assertIsString($room);
        $person = 'p'.bin2hex(random_bytes(4));
        $link = $this->http
            ->request('PUT', "/api/rooms/{$room}/members", ['json' => ['people' => [$person => 'Ada']]])
            ->toArray()['links'];
        \assert(\is_array($link) && \is_string($link[$person]));
        $path = (string) parse_url($link[$person], \PHP_URL_PATH);
        $status = fn (string $method, string $path, string $cookie = ''): int => $this->http
            ->request($method, $path, ['headers' => ['Cookie' => $cookie], 'max_redirects' => 0])
            ->getStatusCode();
        self::assertSame(404, $status('GET', $path), 'the link alone opens nothing');
        $ticket = $this->ticket($path, time() + 60);
        $cookie = $this->letIn($path, $ticket);
        self::assertSame(200, $status('GET', $path, $cookie));
        self::assertSame(404, $status('GET', $ticket), 'a ticket binds one browser');
        self::assertSame(404, $status('POST', $path.'/here'), 'and only that browser speaks as the person');
        self::assertSame(404, $status('GET', $this->ticket($path, time() - 1)), 'a ticket of a minute ago');
        self::assertSame(404, $status('GET', $path.'?until='.(time() + 60).'&let='.str_repeat('0', 40)));
        $newer = $this->letIn($path, $this->ticket($path, time() + 61));
        self::assertSame(200, $status('GET', $path, $newer), 'whoever changes to another device is let in there');
        self::assertNotSame(200, $status('POST', $path.'/here', $cookie), 'and not on the old one any more');
    }

    public function test_in_a_room_people_do_what_is_allowed_there_and_see_what_is_on(): void
    {
        $room = $this->http
            ->request('POST', '/api/rooms', ['json' => ['name' => 'R', 'allowed' => ['record', 'share', 'write']]])
            ->toArray()['id'];
        self::assertIsString($room);
        $links = $this->http
            ->request('PUT', "/api/rooms/{$room}/members", ['json' => ['people' => ['q1' => 'Ada', 'q2' => 'Ben']]])
            ->toArray()['links'];
        \assert(\is_array($links) && \is_string($links['q1']) && \is_string($links['q2']));
        $paths = array_map(static fn (string $link): string => (string) parse_url($link, \PHP_URL_PATH), [
            'q1' => $links['q1'],
            'q2' => $links['q2'],
        ]);
        $cookies = array_map(fn (string $path): string => $this->letIn($path), $paths);
        $post = fn (string $who, string $what, string $body = '') => $this->http->request(
            'POST',
            "{$paths[$who]}/{$what}",
            ['headers' => ['Cookie' => $cookies[$who]], 'body' => $body],
        );
        self::assertSame(
            404,
            $post('q1', 'write', 'hello')->getStatusCode(),
            'who is not in the room does nothing there',
        );
        $post('q1', 'here')->getContent();
        $post('q2', 'here')->getContent();
        foreach (['write' => 'hello <b>', 'share' => 'on', 'record' => 'on'] as $what => $body) {
            self::assertSame(200, $post('q1', $what, $body)->getStatusCode());
        }
        $seen = $post('q2', 'here')->toArray();
        self::assertSame(
            [['record', 'share', 'write'], true, ['Ada'], false, [['name' => 'Ada', 'text' => 'hello <b>']]],
            [$seen['may'], $seen['recorded'], $seen['sharing'], $seen['shares'], $seen['written']],
        );
        $this->http->request('PUT', "/api/rooms/{$room}", ['json' => ['name' => 'R', 'allowed' => []]])->getContent();
        foreach (['write', 'share', 'record'] as $what) {
            self::assertSame(403, $post('q2', $what, 'on')->getStatusCode());
        }
        $seen = $post('q1', 'here')->toArray();
        self::assertSame(
            [[], [], []],
            [$seen['may'], $seen['sharing'], $seen['written']],
            'what is not allowed any more is not there any more',
        );
    }

    private function ticket(string $path, int $until): string
    {
        return $path.
            '?until='.
            $until.
            '&let='.
            substr(
                hash_hmac('sha256', $until.'|'.basename($path), 'let-in|'.self::setting('MEETING_TOKEN')),
                0,
                40,
            );
    }

    /**
     * @return string the cookie of the browser that was let in
     */
    private function letIn(string $path, ?string $ticket = null): string
    {
        $answer = $this->http->request('GET', $ticket ?? $this->ticket($path, time() + 60), ['max_redirects' => 0]);
        self::assertSame(302, $answer->getStatusCode());

        return explode(';', $answer->getHeaders(false)['set-cookie'][0])[0];
    }

    private static function setting(string $name): string
    {
        $value = $_ENV[$name] ?? null;
        self::assertIsString($value);

        return $value;
    }
}
