<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Database;

use FreshHuddle\App\Database\DatabaseClock;
use FreshHuddle\App\Database\TimeReader;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\Clock\MockClock;

/**
 * What follows from a change goes with it, or not at all.
 */
final class ChangeTest extends AppTestCase
{
    public function test_hints_go_out_after_the_change_and_its_tasks_stand(): void
    {
        $change = $this->service(Transaction::class);
        /** @var \ArrayObject<int, string> $told */
        $told = new \ArrayObject();
        $change->run(function () use ($change, $told): void {
            $change->afterCommit(static function () use ($told): void {
                $told->append('outer');
            });
            $change->run(function () use ($change, $told): void {
                $this->service(Tasks::class)->schedule('some', 'thing');
                $change->afterCommit(static function () use ($told): void {
                    $told->append('inner');
                });
            });
            self::assertSame([], $told->getArrayCopy(), 'not before all of it stands');
        });
        self::assertSame(['outer', 'inner'], $told->getArrayCopy());
        self::assertSame(1, $this->db()->fetchOne("SELECT COUNT(*) FROM due_task WHERE kind = 'some'"));
    }

    public function test_of_a_change_that_did_not_happen_nothing_follows(): void
    {
        $change = $this->service(Transaction::class);
        /** @var \ArrayObject<int, string> $told */
        $told = new \ArrayObject();
        try {
            $change->run(function () use ($change, $told): void {
                $this->service(Tasks::class)->schedule('some', 'thing');
                $change->afterCommit(static function () use ($told): void {
                    $told->append('a hint');
                });
                self::refuse();
            });
        } catch (\DomainException) {
        }
        $change->afterCommit(static function () use ($told): void {
            $told->append('the next');
        });
        self::assertSame(['the next'], $told->getArrayCopy());
        self::assertSame(0, $this->db()->fetchOne("SELECT COUNT(*) FROM due_task WHERE kind = 'some'"));
    }

    public function test_a_machine_whose_clock_is_wrong_goes_by_the_databases(): void
    {
        $time = new TimeReader($this->db());
        $true = $time->ms();
        foreach (['-3 hours', '+10 minutes', '+0 seconds'] as $off) {
            $clock = new DatabaseClock(new MockClock(new \DateTimeImmutable($off)), $time);
            self::assertEqualsWithDelta($true, (int) $clock->now()->format('Uv'), 5_000, $off);
        }
    }

    private static function refuse(): void
    {
        throw new \DomainException('no');
    }
}
