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
}
