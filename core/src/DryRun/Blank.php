<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * A place on a worksheet that a student can fill, as their page shows it.
 */
final readonly class Blank
{
    /** Whoever has written is still at it for so many milliseconds, and nobody else begins there. */
    public const WRITES_ON = 15_000;

    /**
     * @param string $slot     which
     * @param bool   $isOwn    an answer of their own; else the group has one
     * @param int    $words    to be read before it
     * @param int    $letters  an answer is likely to have; 0: as many as it needs
     * @param bool   $isFilled something stands there
     * @param bool   $isTaken  somebody else is writing there now
     */
    public function __construct(
        public string $slot,
        public bool $isOwn,
        public int $words = 10,
        public int $letters = 0,
        public bool $isFilled = false,
        public bool $isTaken = false,
    ) {
    }
}
