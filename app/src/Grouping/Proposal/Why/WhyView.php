<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Why;

/**
 * Why a student sits where they sit, and what moving them would mean.
 */
final readonly class WhyView
{
    /**
     * @param list<string>     $reasons
     * @param list<EffectView> $effects one a group, the own one left out
     */
    public function __construct(public array $reasons, public array $effects)
    {
    }
}
