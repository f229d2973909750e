<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Database;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\DatabaseClock;
use FreshHuddle\App\Database\TimeReader;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Clock\MockClock;

/**
 * All machines agree on what time it is, whatever a machine is busy with while it asks.
 */
final class DatabaseClockTest extends TestCase
{
    private const AHEAD = 1_500;

    protected function setUp(): void
    {
        if (\function_exists('apcu_clear_cache')) {
            apcu_clear_cache();
        }
    }

    public function test_a_first_question_that_had_to_wait_for_a_connection_says_nothing(): void
    {
        self::assertEqualsWithDelta(self::AHEAD, $this->aheadAfter([4.0, 0.002]), 5);
    }

    public function test_of_slow_answers_the_quickest_counts(): void
    {
        self::assertEqualsWithDelta(self::AHEAD, $this->aheadAfter([4.0, 2.0, 0.02, 1.0]), 21);
    }

    public function test_a_quick_answer_is_asked_for_once(): void
    {
        self::assertEqualsWithDelta(self::AHEAD, $this->aheadAfter([0.003]), 5);
    }

    /**
     * @param list<float> $waits seconds from each question until the database looks at its clock; the answer itself is
     *                           quick
     *
     * @return int milliseconds
     */
    private function aheadAfter(array $waits): int
    {
        $own = new MockClock('2026-11-30 09:00:00');
        $db = self::createStub(Connection::class);
        $db->method('fetchOne')->willReturnCallback(static function () use ($own, &$waits): int {
            $own->sleep(array_shift($waits) ?? self::fail('It asked too often.'));

            return (int) $own->now()->format('Uv') + self::AHEAD;
        });
        $now = (new DatabaseClock($own, new TimeReader($db)))->now();

        return (int) $now->format('Uv') - (int) $own->now()->format('Uv');
    }
}
