<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

/**
 * How much a student has put into the copies of a group.
 */
final readonly class PutView
{
    public function __construct(public string $student, public int $put)
    {
    }
}
