<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Watch;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Watch\QueueReader;

/**
 * Whoever watches over an instance learns how it is, and nothing of anybody in it.
 */
final class WatchTest extends AppTestCase
{
    public function test_a_process_that_answers_is_alive_and_asks_nobody_who_asks(): void
    {
        $this->asNobody();
        self::assertSame("alive\n", $this->ask('GET', '/health')->is(200)->raw);
    }

    public function test_it_is_ready_while_its_database_answers_whatever_else_is_away(): void
    {
        $this->asNobody();
        $ready = $this->ask('GET', '/health/ready')->is(200);
        self::assertTrue($ready->at('ready'));
        self::assertTrue($ready->at('parts.database'));
        self::assertTrue($ready->at('parts.files'));
        foreach (['media', 'stream', 'workers'] as $part) {
            self::assertIsBool($ready->at("parts.{$part}"));
        }
    }

    public function test_figures_are_lines_a_monitor_reads_and_name_nobody(): void
    {
        $this->readyLesson(4, 2);
        $this->asNobody();
        $text = $this->ask('GET', '/metrics')->is(200)->raw;
        foreach (explode("\n", trim($text)) as $line) {
            self::assertMatchesRegularExpression(
                '/^[a-z_]+(\{[a-z_]+="[^"]*"(,[a-z_]+="[^"]*")*\})? [0-9.eE+-]+$/',
                $line,
            );
        }
        self::assertStringContainsString('huddle_up{part="database"} 1', $text);
        self::assertStringNotContainsString('Student', $text);
    }

    public function test_what_is_due_and_not_done_grows_old(): void
    {
        $this->db()->executeStatement('DELETE FROM due_task');
        $queue = $this->service(QueueReader::class);
        self::assertSame(['due' => 0, 'oldest' => 0], \array_slice($queue->read(), 0, 2));
        $this->db()->executeStatement(
            "INSERT INTO due_task (kind, subject, data, due_at, attempts)
              VALUES ('purge', 'all', '{}', (extract(epoch FROM clock_timestamp()) * 1000)::bigint - 120000, 0)",
        );
        $read = $queue->read();
        self::assertSame(1, $read['due']);
        self::assertGreaterThanOrEqual(119, $read['oldest']);
        self::assertFalse($this->ask('GET', '/health/ready')->at('parts.workers'));
    }
}
