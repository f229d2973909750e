<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

use FreshHuddle\Core\Materials\Exception\UnusableOriginal;

/**
 * Which part of a group a slot is for: some seats, a role, or both; with neither, everybody.
 */
final readonly class SlotPart
{
    public const MOST_SEATS = 12;
    public const HIGHEST_SEAT = 99;
    public const LONGEST_ROLE = 60;

    /**
     * @param list<int> $seats   numbers of seats, 1 to 99
     * @param string    $role    whoever has this role is of it, too; '' for none
     * @param bool      $private the others of the group do not see what stands in it
     */
    public function __construct(public array $seats = [], public string $role = '', public bool $private = false)
    {
    }

    public function isEverybody(): bool
    {
        return [] === $this->seats && '' === trim($this->role);
    }

    public function holds(Member $member): bool
    {
        return $this->isEverybody()
            || \in_array($member->number, $this->seats, true)
            || ('' !== trim($this->role) && self::folded($this->role) === self::folded($member->role));
    }

    /**
     * @throws UnusableOriginal
     */
    public function check(): void
    {
        foreach ($this->seats as $seat) {
            if ($seat < 1 || $seat > self::HIGHEST_SEAT) {
                throw UnusableOriginal::badSeat($seat, self::HIGHEST_SEAT);
            }
        }
        if (\count($this->seats) > self::MOST_SEATS) {
            throw UnusableOriginal::tooManySeats(self::MOST_SEATS);
        }
        if (mb_strlen($this->role) > self::LONGEST_ROLE) {
            throw UnusableOriginal::blockTooLong(mb_strlen($this->role), self::LONGEST_ROLE);
        }
    }

    private static function folded(string $role): string
    {
        return mb_convert_case(trim($role), \MB_CASE_FOLD);
    }
}
