<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

/**
 * How much a student has put into the copies of a group (WritingFact).
 */
final readonly class Contribution
{
    public function __construct(public string $student, public int $put)
    {
    }
}
