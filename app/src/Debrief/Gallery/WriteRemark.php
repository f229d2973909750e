<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a student's remark beside a copy.
 */
final readonly class WriteRemark
{
    /**
     * @param string $text '' takes it away
     */
    public function __construct(#[Assert\Length(max: 1_000)] public string $text)
    {
    }
}
