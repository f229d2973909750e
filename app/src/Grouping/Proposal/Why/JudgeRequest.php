<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Why;

use FreshHuddle\App\Grouping\Desk\DeskSettings;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: how good are these groups?
 */
final readonly class JudgeRequest
{
    public function __construct(#[Assert\Valid] public DeskSettings $settings)
    {
    }
}
