<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Format\ConditionReader;
use FreshHuddle\Core\Grouping\Format\Node;

/**
 * The rules there are: a kind, a class.
 */
enum RuleKind: string
{
    case Apart = 'apart';
    case Together = 'together';
    case Seat = 'seat';
    case NotIn = 'notIn';

    /**
     * @throws UnusableProblem
     */
    public function read(Node $item, ConditionReader $reading): Rule
    {
        return match ($this) {
            self::Apart => Rule\Apart::read($item, $reading),
            self::Together => Rule\Together::read($item, $reading),
            self::Seat => Rule\Seat::read($item, $reading),
            self::NotIn => Rule\NotIn::read($item, $reading),
        };
    }
}
