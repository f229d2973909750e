<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

/**
 * Work for a class has failed for good, and stands in its list.
 */
final readonly class WorkFailed
{
    public function __construct(public string $classId)
    {
    }
}
