<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

/**
 * The ways of putting a class into groups, by the names they have in files and requests.
 */
enum MethodKind: string
{
    case Balance = 'balance';
    case Deal = 'deal';
    case CountOff = 'countOff';
    case ByTable = 'byTable';
    case Jigsaw = 'jigsaw';
    case Repair = 'repair';
    case Split = 'split';
    case Snowball = 'snowball';

    public function method(): Method
    {
        return match ($this) {
            self::Balance => new Method\Balance(),
            self::Deal => new Method\Deal(),
            self::CountOff => new Method\CountOff(),
            self::ByTable => new Method\ByTable(),
            self::Jigsaw => new Method\Jigsaw(),
            self::Repair => new Method\Repair(),
            self::Split => new Method\Split(),
            self::Snowball => new Method\Snowball(),
        };
    }

    /**
     * Whether a shape says how many groups there are.
     */
    public function needsShape(): bool
    {
        return self::ByTable !== $this && self::Repair !== $this;
    }
}
