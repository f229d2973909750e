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
        $this->http = HttpClient::createForBaseUri(self::setting('MEETING_URL'), ['auth_bearer' => self::setting('MEETING_TOKEN')]);
    }

    public function test_without_the_token_nothing_is_told(): void
    {
        foreach (['/api/rooms', '/api/moves', '/api/say', '/api/presence'] as $path) {
            self::assertSame(401, HttpClient::createForBaseUri(self::setting('MEETING_URL'))->request('POST', $path, ['json' => []])->getStatusCode());
        }
    }

    public function test_the_same_key_gives_the_same_room(): void
    {
        $make = fn (): mixed => $this->http->request('POST', '/api/rooms', ['json' => ['name' => 'R'], 'headers' => ['Idempotency-Key' => 'test-key']])->toArray()['id'];
        self::assertSame($make(), $make());
    }

    public function test_names_are_shown_as_text_and_who_is_there_is_seen(): void
    {
        $room = $this->http->request('POST', '/api/rooms', ['json' => ['name' => '<b>Room</b>']])->toArray()['id'];
        self::assertIsString($room);
        $links = $this->http->request('PUT', "/api/rooms/{$room}/members", ['json' => ['people' => ['p1' => '<i>Ada</i>', 'p2' => 'Ben']]])->toArray()['links'];
        self::assertIsArray($links);
        $in = static function (string $who) use ($links): string {
            self::assertIsString($links[$who]);

            return (string) parse_url($links[$who], \PHP_URL_PATH);
        };
        $page = $this->http->request('GET', $in('p1'))->getContent();
        self::assertStringNotContainsString('<b>Room', $page);
        self::assertStringNotContainsString('<i>Ada', $page);
        self::assertSame(['<i>Ada</i>'], $this->http->request('POST', $in('p1').'/here')->toArray()['people']);
        $this->http->request('PUT', "/api/rooms/{$room}/members", ['json' => ['people' => ['p2' => 'Ben']]])->getContent();
        self::assertSame(404, $this->http->request('GET', $in('p1'))->getStatusCode(), 'who is no member any more cannot enter');
    }

    private static function setting(string $name): string
    {
        $value = $_ENV[$name] ?? null;
        self::assertIsString($value);

        return $value;
    }
}
