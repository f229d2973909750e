<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Signal\ChalkMark;

/**
 * What has passed between a student's group and the teacher, as its members see it.
 */
final readonly class MySignal
{
    /**
     * @param CallAbout|null $about   what the group calls for; null: it does not call
     * @param int|null       $at      since when, in milliseconds since 1970
     * @param bool           $seen    the teacher knows
     * @param int            $place   in the queue of calls, from 1; 0: it does not call
     * @param bool           $mine    this student called
     * @param ChalkMark|null $mark    what lies on its table
     * @param bool           $visited somebody is with it
     */
    public function __construct(
        public ?CallAbout $about = null,
        public ?int $at = null,
        public bool $seen = false,
        public int $place = 0,
        public bool $mine = false,
        public ?ChalkMark $mark = null,
        public bool $visited = false,
    ) {
    }

    /**
     * @param array<array-key, mixed> $row about, called at, seen at, by this student, mark, visited, place
     */
    public static function read(array $row): self
    {
        [$about, $at, $seenAt, $mine, $mark, $visited, $place] = $row + [null, null, null, null, null, null, null];
        $calls = \is_string($about) ? CallAbout::tryFrom($about) : null;

        return new self(
            $calls,
            \is_int($at) ? $at : null,
            null !== $calls && null !== $seenAt,
            null !== $calls && \is_int($place) ? $place : 0,
            true === $mine,
            \is_string($mark) ? ChalkMark::tryFrom($mark) : null,
            true === $visited,
        );
    }
}
