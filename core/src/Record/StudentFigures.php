<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

/**
 * What a lesson's facts say of one student.
 */
final readonly class StudentFigures
{
    /**
     * @param string|null     $group       the group they were in last; null: in none
     * @param int|null        $arrivedAt   when they were first seen; null: never
     * @param int             $groupMs     how long they were to be in a group: the three after it add up to it
     * @param int             $inPlaceMs   of that, where they were to be
     * @param int             $elsewhereMs of that, somewhere else or on the way
     * @param int             $awayMs      of that, without a sign
     * @param int             $put         how much they have put in (WritingFact)
     * @param int             $ofGroup     how much all have put into the copies of the groups they sat or wrote in
     * @param int             $slots       in how many places
     * @param int             $calls       how often they asked for help
     * @param int             $calledOn    how often they were called on and did not pass
     * @param int             $passed      how often they passed
     * @param int             $spokenMs    how long they spoke, in rooms of our own
     * @param list<StripSpan> $strip       from the beginning of the lesson to its end, without a gap
     */
    public function __construct(
        public string $student,
        public string $name,
        public ?string $group,
        public ?int $arrivedAt,
        public int $groupMs,
        public int $inPlaceMs,
        public int $elsewhereMs,
        public int $awayMs,
        public int $put,
        public int $ofGroup,
        public int $slots,
        public int $calls,
        public int $calledOn,
        public int $passed,
        public int $exitAnswered,
        public int $exitOf,
        public int $spokenMs,
        public array $strip,
    ) {
    }
}
