<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

/**
 * A class of a OneRoster package.
 */
final readonly class PackageClass
{
    public function __construct(public string $id, public string $title, public int $students)
    {
    }
}
