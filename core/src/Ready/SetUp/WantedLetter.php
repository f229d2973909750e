<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * What one student should have been written.
 */
final readonly class WantedLetter
{
    public function __construct(public string $student, public string $address, public string $digest)
    {
    }
}
