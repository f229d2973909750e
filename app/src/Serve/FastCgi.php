<?php

declare(strict_types=1);

namespace FreshHuddle\App\Serve;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * One exchange over FastCGI 1.0 (Open Market, 1996) as a responder, as the front server speaks it: one request a
 * connection, which is closed after the answer.
 */
final readonly class FastCgi
{
    private const BEGIN = 1;
    private const ABORT = 2;
    private const END = 3;
    private const PARAMS = 4;
    private const STDIN = 5;
    private const STDOUT = 6;
    private const RESPONDER = 1;
    /** Bytes of a record's content at the most; eight make what follows aligned. */
    private const RECORD = 65_528;
    /** Bytes of all parameters together; the front server's own limits lie far below. */
    private const MOST_PARAMS = 131_072;

    public function __construct(private \Socket $socket, private int $mostBody = 2_097_152)
    {
    }

    /**
     * Waits for a whole request.
     *
     * @throws Malformed
     */
    public function request(): Request
    {
        $params = $body = '';
        $id = null;
        while (true) {
            [
                'version' => $version,
                'type' => $type,
                'id' => $for,
                'length' => $length,
                'padding' => $padding,
            ] = $this->header();
            $content = $this->read($length);
            $this->read($padding);
            if (1 !== $version || (null === $id) !== (self::BEGIN === $type) || (null !== $id && $for !== $id)) {
                throw new Malformed('A record out of turn.');
            }
            if (self::BEGIN === $type) {
                if (8 !== $length || self::RESPONDER !== (unpack('n', $content)[1] ?? null) || 0 === $for) {
                    throw new Malformed('Only a responder is here.');
                }
                $id = $for;
            } elseif (self::PARAMS === $type) {
                $params .= $content;
            } elseif (self::STDIN === $type) {
                if ('' === $content) {
                    break;
                }
                $body .= $content;
            } else {
                throw new Malformed(self::ABORT === $type ? 'It was called off.' : 'A record nobody knows.');
            }
            if (\strlen($params) > self::MOST_PARAMS || \strlen($body) > $this->mostBody) {
                throw new Malformed('More than a request may be.');
            }
        }

        return self::made(self::pairs($params), $body);
    }

    /**
     * @throws Malformed if the other side is gone
     */
    public function answer(Response $response): void
    {
        $head = "Status: {$response->getStatusCode()}\r\n";
        /** @var array<string, list<string>> $headers */
        $headers = $response->headers->allPreserveCase();
        foreach ($headers as $name => $values) {
            foreach ($values as $value) {
                $head .= "{$name}: {$value}\r\n";
            }
        }
        ob_start();
        $response->sendContent();
        $this->write($head."\r\n".ob_get_clean());
    }

    /**
     * @return array{version: int, type: int, id: int, length: int, padding: int}
     */
    private function header(): array
    {
        /** @var array{version: int, type: int, id: int, length: int, padding: int} eight bytes are always unpacked */
        return unpack('Cversion/Ctype/nid/nlength/Cpadding', $this->read(8));
    }

    private function read(int $bytes): string
    {
        $got = '';
        while (($missing = $bytes - \strlen($got)) > 0) {
            $part = @socket_read($this->socket, $missing);
            if (false === $part || '' === $part) {
                throw new Malformed('It ended in the middle.');
            }
            $got .= $part;
        }

        return $got;
    }

    private function write(string $answer): void
    {
        $records = '';
        foreach (str_split($answer, self::RECORD) as $part) {
            $records .= pack('CCnnCC', 1, self::STDOUT, 1, \strlen($part), 0, 0).$part;
        }
        $records .=
            pack('CCnnCC', 1, self::STDOUT, 1, 0, 0, 0).
            pack('CCnnCCNCCCC', 1, self::END, 1, 8, 0, 0, 0, 0, 0, 0, 0);
        while ('' !== $records) {
            $sent = @socket_write($this->socket, $records);
            if (false === $sent || 0 === $sent) {
                throw new Malformed('Nobody listens any more.');
            }
            $records = substr($records, $sent);
        }
    }

    /**
     * @return array<string, string>
     */
    private static function pairs(string $params): array
    {
        $pairs = [];
        $at = 0;
        while ($at < \strlen($params)) {
            $lengths = [];
            foreach ([0, 1] as $which) {
                $byte = \ord($params[$at] ?? throw new Malformed('A parameter without its length.'));
                if ($byte < 128) {
                    $lengths[$which] = $byte;
                    ++$at;
                } else {
                    if ($at + 4 > \strlen($params)) {
                        throw new Malformed('A parameter without its length.');
                    }
                    $long = unpack('N', $params, $at);
                    $lengths[$which] = (\is_array($long) && \is_int($long[1]) ? $long[1] : 0) & 0x7FFFFFFF;
                    $at += 4;
                }
            }
            [$name, $value] = $lengths;
            if ($at + $name + $value > \strlen($params)) {
                throw new Malformed('A parameter that is cut off.');
            }
            $pairs[substr($params, $at, $name)] = substr($params, $at + $name, $value);
            $at += $name + $value;
        }

        return $pairs;
    }

    /**
     * @param array<string, string> $params
     */
    private static function made(array $params, string $body): Request
    {
        parse_str($params['QUERY_STRING'] ?? '', $query);
        $form = [];
        if (str_starts_with($params['CONTENT_TYPE'] ?? '', 'application/x-www-form-urlencoded')) {
            parse_str($body, $form);
        }
        $cookies = [];
        foreach (explode(';', $params['HTTP_COOKIE'] ?? '') as $cookie) {
            [$name, $value] = explode('=', $cookie, 2) + ['', ''];
            $name = trim($name);
            if ('' !== $name && !isset($cookies[$name])) {
                $cookies[$name] = urldecode(trim($value));
            }
        }

        return new Request(
            $query,
            $form,
            [],
            $cookies,
            [],
            $params + ['REQUEST_TIME' => time(), 'REQUEST_TIME_FLOAT' => microtime(true)],
            $body,
        );
    }
}
