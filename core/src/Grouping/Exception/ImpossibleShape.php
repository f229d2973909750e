<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Exception;

final class ImpossibleShape extends \InvalidArgumentException
{
    public static function noGroup(): self
    {
        return new self('There has to be at least one group.');
    }

    public static function emptyGroups(): self
    {
        return new self('A group has to hold at least one student.');
    }

    public static function sumIsWrong(int $sum, int $students): self
    {
        return new self(\sprintf('These sizes seat %d; there are %d students.', $sum, $students));
    }

    public static function tooFewSeats(int $groups, int $size, int $students): self
    {
        return new self(\sprintf('%d groups of at most %d have no room for %d students.', $groups, $size, $students));
    }

    public static function fixedSeatsNeedGroups(int $needed, int $wanted): self
    {
        return new self(\sprintf('Fixed seats stand in %d groups, so there cannot be only %d. Free some seats first.', $needed, $wanted));
    }
}
