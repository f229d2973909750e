<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

/**
 * A letter that did not arrive.
 */
final readonly class LetterBack
{
    public function __construct(
        public string $studentId,
        public string $name,
        public string $address,
        public string $why,
    ) {
    }
}
