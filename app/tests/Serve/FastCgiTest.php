<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Serve;

use FreshHuddle\App\Serve\FastCgi;
use FreshHuddle\App\Serve\Malformed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * The protocol between the front server and the application.
 */
final class FastCgiTest extends TestCase
{
    public function test_a_request_comes_out_as_it_was_handed_on(): void
    {
        $long = str_repeat('ü', 300);
        $request = $this->hears(
            self::begin().
                self::params([
                    'REQUEST_METHOD' => 'POST',
                    'REQUEST_URI' => '/api/x?a[]=1&a[]=2',
                    'QUERY_STRING' => 'a[]=1&a[]=2',
                    'CONTENT_TYPE' => 'application/json',
                    'HTTP_COOKIE' => 'one=1; two=a%3Db; one=other; =none',
                    'HTTP_X_LONG' => $long,
                ]).
                self::record(4, '').
                self::record(5, '{"text":', 3).
                self::record(5, '"ß"}').
                self::record(5, ''),
        );
        self::assertSame(
            ['POST', '/api/x', '{"text":"ß"}'],
            [$request->getMethod(), $request->getPathInfo(), $request->getContent()],
        );
        self::assertSame(['a' => ['1', '2']], $request->query->all());
        self::assertSame(['one' => '1', 'two' => 'a=b'], $request->cookies->all());
        self::assertSame([$long, 'json'], [$request->headers->get('X-Long'), $request->getContentTypeFormat()]);
    }

    public function test_a_form_is_read_as_a_form(): void
    {
        $request = $this->hears(
            self::begin().
                self::params(['REQUEST_METHOD' => 'POST', 'CONTENT_TYPE' => 'application/x-www-form-urlencoded']).
                self::record(5, 'a=1&b=%C3%BC').
                self::record(5, ''),
        );
        self::assertSame(['a' => '1', 'b' => 'ü'], $request->request->all());
    }

    public function test_an_answer_has_its_status_all_its_headers_and_its_whole_text_however_long(): void
    {
        $text = random_bytes(200_000);
        $response = new Response($text, 201, ['X-One' => 'a']);
        $response->headers->setCookie(Cookie::create('first', '1'));
        $response->headers->setCookie(Cookie::create('second', '2'));
        [$ours, $theirs] = self::pair();
        $process = pcntl_fork();
        if (0 === $process) {
            // what is longer than the socket holds is read while it is written
            socket_close($theirs);
            (new FastCgi($ours))->answer($response);
            posix_kill(posix_getpid(), \SIGKILL); // nothing of the test runner ends with it
        }
        socket_close($ours);
        $got = '';
        while (\is_string($part = socket_read($theirs, 65_536)) && '' !== $part) {
            $got .= $part;
        }
        pcntl_waitpid($process, $status);
        $out = '';
        $ended = false;
        for ($at = 0; $at < \strlen($got); $at += 8 + $length) {
            [$type, $length] = [\ord($got[$at + 1]), \ord($got[$at + 4]) * 256 + \ord($got[$at + 5])];
            $out .= 6 === $type ? substr($got, $at + 8, $length) : '';
            $ended = 3 === $type;
        }
        self::assertTrue($ended);
        [$head, $body] = explode("\r\n\r\n", $out, 2);
        self::assertStringStartsWith("Status: 201\r\n", $head);
        self::assertStringContainsString('X-One: a', $head);
        self::assertSame(2, substr_count($head, 'Set-Cookie: '));
        self::assertSame($text, $body);
    }

    #[DataProvider('nothings')]
    public function test_what_is_no_request_is_left_alone(string $bytes): void
    {
        $this->expectException(Malformed::class);
        $this->hears($bytes);
    }

    /**
     * @return iterable<string, array{string}>
     */
    public static function nothings(): iterable
    {
        yield 'nothing' => [''];
        yield 'another language' => ["GET / HTTP/1.1\r\nHost: x\r\n\r\n"];
        yield 'the end in the middle of a record' => [substr(self::begin(), 0, 12)];
        yield 'the end before the end' => [self::begin().self::params(['A' => 'b'])];
        yield 'parameters before the beginning' => [self::params(['A' => 'b'])];
        yield 'two beginnings' => [self::begin().self::begin()];
        yield 'another role' => [self::record(1, pack('nCx5', 2, 0))];
        yield 'somebody else’s record' => [self::begin().pack('CCnnCC', 1, 4, 7, 0, 0, 0)];
        yield 'called off' => [self::begin().self::record(2, '')];
        yield 'a kind nobody knows' => [self::begin().self::record(99, '')];
        yield 'a parameter longer than what is there' => [
            self::begin().self::record(4, pack('CC', 100, 100).'abc').self::record(5, ''),
        ];
        yield 'a length that is cut off' => [self::begin().self::record(4, "\x80\x00").self::record(5, '')];
        yield 'parameters without end' => [
            self::begin().str_repeat(self::record(4, str_repeat("\x01\x01ab", 15_000)), 4),
        ];
        yield 'a body without end' => [self::begin().str_repeat(self::record(5, str_repeat('x', 60_000)), 40)];
    }

    private function hears(string $bytes): Request
    {
        [$ours, $theirs] = self::pair();
        $process = pcntl_fork();
        if (0 === $process) {
            socket_close($ours);
            for (
                $sent = 0;
                $sent < \strlen($bytes) && false !== ($more = @socket_write($theirs, substr($bytes, $sent)));
                $sent += $more
            ) {
            }
            posix_kill(posix_getpid(), \SIGKILL);
        }
        socket_close($theirs);
        try {
            return (new FastCgi($ours))->request();
        } finally {
            socket_close($ours);
            pcntl_waitpid($process, $status);
        }
    }

    /**
     * @return array{\Socket, \Socket}
     */
    private static function pair(): array
    {
        $pair = [];
        self::assertTrue(socket_create_pair(\AF_UNIX, \SOCK_STREAM, 0, $pair));
        /** @var array{\Socket, \Socket} $pair */

        return $pair;
    }

    private static function record(int $type, string $content, int $padding = 0): string
    {
        return pack('CCnnCC', 1, $type, 1, \strlen($content), $padding, 0).$content.str_repeat("\0", $padding);
    }

    private static function begin(): string
    {
        return self::record(1, pack('nCx5', 1, 0));
    }

    /**
     * @param array<string, string> $pairs
     */
    private static function params(array $pairs): string
    {
        $params = '';
        foreach ($pairs as $name => $value) {
            foreach ([$name, $value] as $one) {
                $params .= \strlen($one) < 128 ? \chr(\strlen($one)) : pack('N', \strlen($one) | 0x80000000);
            }
            $params .= $name.$value;
        }

        return self::record(4, $params);
    }
}
