<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

use FreshHuddle\Core\Message;

/**
 * One thing that is going to be done.
 */
final readonly class SetUpStep
{
    /**
     * @param string|null  $group   the group it is about; null: the class
     * @param string       $subject what it is done to: a place for a room to be made, an original for copies, else the
     *                              id
     *                              of the room, the post or the student
     * @param int          $count   how many things that is
     * @param list<string> $ids     of the copies that are to go
     * @param Message|null $loses   what would be lost by it; not done unless somebody says so
     * @param string|null  $round   id of the round it is done for; null: there is only one
     */
    public function __construct(
        public StepKind $kind,
        public ?string $group,
        public string $subject,
        public Message $says,
        public Message $because,
        public int $count = 1,
        public array $ids = [],
        public ?Message $loses = null,
        public ?string $round = null,
    ) {
    }

    /**
     * The same step, for a round.
     */
    public function forRound(string $round): self
    {
        return new self(
            $this->kind,
            $this->group,
            $this->subject,
            $this->says,
            $this->because,
            $this->count,
            $this->ids,
            $this->loses,
            $round,
        );
    }

    /**
     * @return string the same for the same step of another list
     */
    public function key(): string
    {
        return "{$this->kind->value}|{$this->group}|{$this->subject}".
            (null === $this->round ? '' : "|{$this->round}");
    }

    /**
     * @return string what somebody says who has read what this loses and wants it all the same; another once it would
     *                lose
     *                something else
     */
    public function sure(): string
    {
        return $this->key().'|'.hash('xxh64', json_encode($this->loses, \JSON_THROW_ON_ERROR));
    }
}
