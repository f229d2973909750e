<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\Core\Grouping\MethodKind;

/**
 * The ways of grouping a teacher can choose at the desk.
 */
enum DeskMethod: string
{
    case Deal = 'deal';
    case Balance = 'balance';
    case CountOff = 'countOff';
    case ByTable = 'byTable';
    case ByHand = 'byHand';
    case SignUp = 'signUp';
    case Jigsaw = 'jigsaw';
    case Rotation = 'rotation';

    /**
     * @return MethodKind|null null where people and no method place
     */
    public function kind(): ?MethodKind
    {
        return match ($this) {
            self::Deal => MethodKind::Deal,
            self::Balance, self::Rotation => MethodKind::Balance,
            self::CountOff => MethodKind::CountOff,
            self::ByTable => MethodKind::ByTable,
            self::Jigsaw => MethodKind::Jigsaw,
            self::ByHand, self::SignUp => null,
        };
    }
}
