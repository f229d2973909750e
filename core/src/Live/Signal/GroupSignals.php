<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Signal;

/**
 * What has passed between a group and whoever teaches, in this run of its round. Moments are milliseconds since 1970.
 */
final readonly class GroupSignals
{
    /**
     * @param int            $visits    how often somebody has come to it
     * @param int|null       $visitedAt when the last visit ended; null: none has
     * @param string|null    $visitor   who is there now
     * @param int|null       $since     since when
     * @param ChalkMark|null $mark      what lies on its table
     * @param int|null       $markedAt  since when
     */
    public function __construct(
        public ?Call $call = null,
        public int $visits = 0,
        public ?int $visitedAt = null,
        public ?string $visitor = null,
        public ?int $since = null,
        public ?ChalkMark $mark = null,
        public ?int $markedAt = null,
    ) {
    }

    public function equals(self $other): bool
    {
        return json_encode($this, \JSON_THROW_ON_ERROR) === json_encode($other, \JSON_THROW_ON_ERROR);
    }

    public function withCall(?Call $call): self
    {
        return new self(
            $call,
            $this->visits,
            $this->visitedAt,
            $this->visitor,
            $this->since,
            $this->mark,
            $this->markedAt,
        );
    }

    /**
     * Whoever comes to a group has answered its call.
     */
    public function visitedBy(string $visitor, int $at): self
    {
        return new self(null, $this->visits + 1, $this->visitedAt, $visitor, $at, $this->mark, $this->markedAt);
    }

    public function left(int $at): self
    {
        return new self(
            $this->call,
            $this->visits,
            null === $this->visitor ? $this->visitedAt : $at,
            null,
            null,
            $this->mark,
            $this->markedAt,
        );
    }

    public function marked(?ChalkMark $mark, int $at): self
    {
        return new self(
            $this->call,
            $this->visits,
            $this->visitedAt,
            $this->visitor,
            $this->since,
            $mark,
            null === $mark ? null : $at,
        );
    }
}
