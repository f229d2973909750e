<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

/**
 * A rule that has come to a class.
 */
final readonly class RuleMade
{
    /**
     * @param string $warning what it contradicts; '' where it contradicts nothing
     */
    public function __construct(public RuleView $rule, public string $warning)
    {
    }
}
