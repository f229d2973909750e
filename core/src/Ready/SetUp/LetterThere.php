<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * What a student has been written last.
 */
final readonly class LetterThere
{
    /**
     * @param bool $arrived it was taken and has not come back
     */
    public function __construct(
        public string $student,
        public string $address,
        public string $digest,
        public bool $arrived = true,
    ) {
    }
}
