<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Tests;

use FreshHuddle\Standin\Meeting\Hook;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpClient\MockHttpClient;
use Symfony\Component\HttpClient\Response\MockResponse;

/**
 * What the meeting service tells the application is told until it is heard; a refusal is an answer.
 */
final class HookTest extends TestCase
{
    public function test_it_is_heard_where_it_was_answered_and_not_where_nobody_was_there(): void
    {
        $answers = [
            new MockResponse('', ['http_code' => 204]),
            new MockResponse('', ['http_code' => 422]),
            new MockResponse('', ['http_code' => 503]),
            new MockResponse('', ['error' => 'timed out']),
        ];
        $hook = new Hook(new MockHttpClient($answers), 'http://127.0.0.1/hooks/meeting', 'secret');
        self::assertSame(
            [true, true, false, false],
            array_map(static fn (int $at): bool => $hook->tell('p1', 'm1', $at), [1, 2, 3, 4]),
        );
    }
}
