<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Exception;

/**
 * The rules are so many and so tight that neither an arrangement nor a contradiction was found.
 */
final class NoWayFound extends \RuntimeException
{
    public static function toKeepAllRules(): self
    {
        return new self('No arrangement that keeps all rules was found, and no contradiction either. Lift a rule, or allow more groups.');
    }
}
