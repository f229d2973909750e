<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

/**
 * A group to choose, and how many seats it has left.
 */
final readonly class SignUpTable
{
    /**
     * @param int  $mark which colour and sign
     * @param bool $mine the student sits here
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $mark,
        public int $seats,
        public int $taken,
        public bool $mine,
    ) {
    }
}
