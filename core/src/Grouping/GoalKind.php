<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Format\GoalContext;
use FreshHuddle\Core\Grouping\Format\Node;

/**
 * The goals there are: a kind, a class.
 */
enum GoalKind: string
{
    case Spread = 'spread';
    case Alike = 'alike';
    case EachHas = 'eachHas';
    case NotAlone = 'notAlone';
    case NewPartners = 'newPartners';
    case Wishes = 'wishes';

    /**
     * @param Node  $item   its fields
     * @param float $weight from 0 to 1,000,000
     *
     * @throws UnusableProblem
     */
    public function read(Node $item, GoalContext $reading, float $weight): Goal
    {
        return match ($this) {
            self::Spread => Goal\Spread::read($item, $reading, $weight),
            self::Alike => Goal\Alike::read($item, $reading, $weight),
            self::EachHas => Goal\EachHas::read($item, $reading, $weight),
            self::NotAlone => Goal\NotAlone::read($item, $reading, $weight),
            self::NewPartners => Goal\NewPartners::read($item, $reading, $weight),
            self::Wishes => Goal\Wishes::read($item, $reading, $weight),
        };
    }
}
