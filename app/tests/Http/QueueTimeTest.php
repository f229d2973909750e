<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Http\QueueTime;
use FreshHuddle\App\Kernel;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/**
 * Answers say how long their requests waited.
 */
final class QueueTimeTest extends TestCase
{
    /**
     * @param array<string, mixed> $server
     */
    #[DataProvider('requests')]
    public function test_an_answer_says_how_long_its_request_waited_for_its_turn(array $server, ?string $said): void
    {
        $response = new Response();
        (new QueueTime())(
            new ResponseEvent(
                new Kernel('test', false),
                new Request(server: $server),
                HttpKernelInterface::MAIN_REQUEST,
                $response,
            ),
        );
        self::assertSame($said, $response->headers->get('Server-Timing'));
    }

    /**
     * @return iterable<string, array{array<string, mixed>, ?string}>
     */
    public static function requests(): iterable
    {
        yield 'it waited' => [
            ['HUDDLE_HANDED_ON' => '1700000000.100', 'REQUEST_TIME_FLOAT' => 1_700_000_000.3504],
            'queue;dur=250',
        ];
        yield 'it was its turn at once' => [
            ['HUDDLE_HANDED_ON' => '1700000000.100', 'REQUEST_TIME_FLOAT' => 1_700_000_000.1001],
            null,
        ];
        yield 'two clocks that differ' => [
            ['HUDDLE_HANDED_ON' => '1700000001.000', 'REQUEST_TIME_FLOAT' => 1_700_000_000.5],
            null,
        ];
        yield 'nobody handed it on' => [['REQUEST_TIME_FLOAT' => 1_700_000_000.5], null];
        yield 'a header says so, which is not believed' => [
            ['HTTP_HUDDLE_HANDED_ON' => '1600000000', 'REQUEST_TIME_FLOAT' => 1_700_000_000.5],
            null,
        ];
    }
}
