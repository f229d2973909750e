<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Http\QueueTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;

/**
 * How long requests waited.
 */
final class QueueTimeTest extends TestCase
{
    /**
     * @param array<string, mixed> $server
     */
    #[DataProvider('requests')]
    public function test_it_is_known_how_long_a_request_waited_for_its_turn(array $server, int $milliseconds): void
    {
        self::assertSame($milliseconds, QueueTime::waited(new Request(server: $server)));
    }

    /**
     * @return iterable<string, array{array<string, mixed>, int}>
     */
    public static function requests(): iterable
    {
        yield 'it waited' => [
            ['HUDDLE_HANDED_ON' => '1700000000.100', 'REQUEST_TIME_FLOAT' => 1_700_000_000.3504],
            250,
        ];
        yield 'it was its turn at once' => [
            ['HUDDLE_HANDED_ON' => '1700000000.100', 'REQUEST_TIME_FLOAT' => 1_700_000_000.1001],
            0,
        ];
        yield 'two clocks that differ' => [
            ['HUDDLE_HANDED_ON' => '1700000001.000', 'REQUEST_TIME_FLOAT' => 1_700_000_000.5],
            0,
        ];
        yield 'nobody handed it on' => [['REQUEST_TIME_FLOAT' => 1_700_000_000.5], 0];
        yield 'a header says so, which is not believed' => [
            ['HTTP_HUDDLE_HANDED_ON' => '1600000000', 'REQUEST_TIME_FLOAT' => 1_700_000_000.5],
            0,
        ];
    }
}
