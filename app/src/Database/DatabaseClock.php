<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Symfony\Component\Clock\ClockInterface as SymfonyClock;
use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;
use Symfony\Component\DependencyInjection\Attribute\When;

/**
 * The database's clock, so that all machines agree. Asking it at every turn would cost a round trip: each machine knows
 * how far its own clock is off, shared among its processes, and asks again after some seconds.
 */
#[When('prod'), When('dev')]
#[AsDecorator('clock')]
final class DatabaseClock implements SymfonyClock
{
    private const KEY = 'fresh-huddle.clock-offset';
    /** Seconds for which a machine trusts what it knows. */
    private const TRUSTED = 20;

    /** The most queries for one measurement; it ends early when one takes less than `QUICK` seconds. */
    private const QUESTIONS = 4;
    private const QUICK = 0.005;

    private ?int $offset = null;
    private float $asked = 0.0;

    public function __construct(
        #[AutowireDecorated]
        private readonly SymfonyClock $own,
        private readonly TimeReader $time,
    ) {
    }

    public function now(): \DateTimeImmutable
    {
        $offset = $this->offset(); // may take a while, when it has to be asked
        $now = $this->own->now();

        return 0 === $offset ? $now : $now->modify(\sprintf('%+d milliseconds', $offset));
    }

    public function sleep(float|int $seconds): void
    {
        $this->own->sleep($seconds);
    }

    public function withTimeZone(\DateTimeZone|string $timezone): static
    {
        $clock = clone $this;

        return $clock;
    }

    /**
     * @return int milliseconds by which the database is ahead; below 0: behind. Where it cannot be asked, what was
     *             known last
     */
    private function offset(): int
    {
        $own = (float) $this->own->now()->format('U.u');
        if (null !== $this->offset && $own - $this->asked < self::TRUSTED) {
            return $this->offset;
        }
        $shared = \function_exists('apcu_fetch') ? apcu_fetch(self::KEY) : false;
        if (!\is_int($shared)) {
            try {
                $shared = $this->query();
                \function_exists('apcu_store') && apcu_store(self::KEY, $shared, self::TRUSTED);
            } catch (\Throwable) {
                $shared = $this->offset ?? 0;
            }
        }
        [$this->offset, $this->asked] = [$shared, $own];

        return $shared;
    }

    /**
     * The first query may have to wait for a connection, and any query for a busy machine. The quickest of a few is the
     * most accurate.
     */
    private function query(): int
    {
        $offset = 0;
        $quickest = \INF;
        for ($i = 0; $i < self::QUESTIONS && $quickest > self::QUICK; ++$i) {
            $before = (float) $this->own->now()->format('U.u');
            $there = $this->time->ms();
            $after = (float) $this->own->now()->format('U.u');
            if ($after - $before < $quickest) {
                $quickest = $after - $before;
                // Half the way of the question is behind us when the answer is made.
                $offset = $there - (int) round(500 * ($before + $after));
            }
        }

        return abs($offset) < 5 ? 0 : $offset; // a few milliseconds are the way, not the clock
    }
}
