<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: erases a student for good.
 */
final readonly class EraseStudent
{
    /**
     * @param string $name the student's, typed once more
     */
    public function __construct(#[Assert\Length(max: 120)] public string $name)
    {
    }
}
