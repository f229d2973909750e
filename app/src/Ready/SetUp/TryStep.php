<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: try a failed step again.
 */
final readonly class TryStep
{
    /**
     * @param int|null $position the step; null: all that failed
     */
    public function __construct(#[Assert\Range(min: 0, max: 100_000)] public ?int $position = null)
    {
    }
}
