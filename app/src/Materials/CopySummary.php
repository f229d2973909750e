<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

final readonly class CopySummary
{
    /**
     * @param int $version the version of the original it was made from
     */
    public function __construct(public string $id, public string $groupId, public string $name, public int $version)
    {
    }
}
