<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: until when a class's data is kept.
 */
final readonly class KeepUntil
{
    /**
     * @param string|null $endsOn a day, as 2027-07-31; null: no end is set
     */
    public function __construct(#[Assert\Date] public ?string $endsOn)
    {
    }
}
