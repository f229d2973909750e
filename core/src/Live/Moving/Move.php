<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Moving;

/**
 * What was last done about where one student is to be, in this run of a round. Moments are milliseconds since 1970.
 */
final readonly class Move
{
    /**
     * @param string|null $place     `main` or the id of a side room; null: with their group
     * @param int         $from      from when they are to be there
     * @param string|null $was       where they are to be until then
     * @param int|null    $fetchedAt when they were last fetched there
     * @param Help|null   $help      how
     */
    public function __construct(
        public ?string $place,
        public int $from,
        public ?string $was = null,
        public ?int $fetchedAt = null,
        public ?Help $help = null,
    ) {
    }

    public function fetched(int $at, Help $help): self
    {
        return new self($this->place, $this->from, $this->was, $at, $help);
    }

    /**
     * @param int $now milliseconds since 1970
     *
     * @return string|null where they are to be at that moment; null: with their group
     */
    public function groupAt(int $now): ?string
    {
        return $now < $this->from ? $this->was : $this->place;
    }

    public function equals(self $other): bool
    {
        return $this->place === $other->place
            && $this->from === $other->from
            && $this->was === $other->was
            && $this->fetchedAt === $other->fetchedAt
            && $this->help === $other->help;
    }
}
