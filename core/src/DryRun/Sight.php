<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * What a student's page shows them at a moment.
 */
final readonly class Sight
{
    /**
     * @param bool        $isIn      the lesson has let them in
     * @param string|null $place     where they are to be: `main`, or the id of a group or a side room; null: nowhere
     * @param int         $since     from when they are to be there. Milliseconds since 1970
     * @param int|null    $fetchedAt when they were called there in particular
     * @param bool        $takesIn   the page takes them there by itself
     * @param bool        $isWorking groups are at work
     * @param list<Blank> $blanks    in the order of the pages
     * @param int|null    $leavesAt  a countdown runs: they belong elsewhere then. Milliseconds since 1970
     * @param bool        $isCalling their group is asking for help
     * @param bool        $isHelped  somebody who teaches is with their group
     */
    public function __construct(
        public bool $isIn,
        public ?string $place,
        public int $since = 0,
        public ?int $fetchedAt = null,
        public bool $takesIn = false,
        public bool $isWorking = false,
        public ?int $leavesAt = null,
        public array $blanks = [],
        public bool $isCalling = false,
        public bool $isHelped = false,
    ) {
    }

    /**
     * The same page with what there is to fill.
     *
     * @param list<Blank> $blanks
     */
    public function withBlanks(array $blanks): self
    {
        return new self(
            $this->isIn,
            $this->place,
            $this->since,
            $this->fetchedAt,
            $this->takesIn,
            $this->isWorking,
            $this->leavesAt,
            $blanks,
            $this->isCalling,
            $this->isHelped,
        );
    }

    /**
     * Whether it shows the same, apart from what there is to fill.
     */
    public function isAs(self $other): bool
    {
        return $this->isIn === $other->isIn
            && $this->place === $other->place
            && $this->since === $other->since
            && $this->fetchedAt === $other->fetchedAt
            && $this->takesIn === $other->takesIn
            && $this->isWorking === $other->isWorking
            && $this->leavesAt === $other->leavesAt
            && $this->isCalling === $other->isCalling
            && $this->isHelped === $other->isHelped;
    }
}
