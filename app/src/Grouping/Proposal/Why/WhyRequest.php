<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Why;

use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: why is this student in this group?
 */
final readonly class WhyRequest
{
    public function __construct(#[Id] public string $student, #[Assert\Valid] public DeskSettings $settings)
    {
    }
}
