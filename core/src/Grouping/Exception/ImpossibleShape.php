<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * So many students cannot be put into such groups.
 */
final class ImpossibleShape extends Refused
{
    public static function noGroup(): self
    {
        return new self(new Message('grouping.shape.no_group'));
    }

    public static function emptyGroups(): self
    {
        return new self(new Message('grouping.shape.empty_groups'));
    }

    public static function sumIsWrong(int $sum, int $students): self
    {
        return new self(new Message('grouping.shape.sum', ['seats' => $sum, 'students' => $students]));
    }

    public static function tooFewSeats(int $groups, int $size, int $students): self
    {
        return new self(
            new Message('grouping.shape.too_few_seats', [
                'groups' => $groups,
                'size' => $size,
                'students' => $students,
            ]),
        );
    }

    public static function fixedSeatsNeedGroups(int $needed, int $wanted): self
    {
        return new self(new Message('grouping.shape.fixed_seats', ['needed' => $needed, 'wanted' => $wanted]));
    }
}
