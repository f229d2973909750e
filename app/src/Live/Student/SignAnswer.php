<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

/**
 * The answer to a sign of life: what a page should know by now.
 */
final readonly class SignAnswer
{
    /**
     * @param int         $seq       the last event that concerns students: a page that knows an older one asks anew
     * @param string|null $seenIn    where the meeting service sees the student, as in StudentNow
     * @param int         $serverNow milliseconds since 1970
     */
    public function __construct(
        public ?string $lesson,
        public int $seq,
        public ?string $seenIn,
        public int $serverNow,
    ) {
    }
}
