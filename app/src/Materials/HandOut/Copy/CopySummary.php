<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use FreshHuddle\Core\Materials\HandOutWay;

/**
 * A copy: whose it is, and how far it is filled in.
 */
final readonly class CopySummary
{
    /**
     * @param string|null $groupId whose it is: a group's, a student's, or (neither) the class's
     * @param int         $version the version of the original it was made from
     */
    public function __construct(
        public string $id,
        public string $original,
        public ?string $groupId,
        public ?string $studentId,
        public HandOutWay $way,
        public string $variant,
        public string $name,
        public int $version,
    ) {
    }
}
