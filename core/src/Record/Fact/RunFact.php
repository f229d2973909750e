<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * One time a round was sent out.
 */
final readonly class RunFact
{
    /**
     * @param int             $round  its number in the lesson, from 1
     * @param int             $from   when groups were to be at work
     * @param int             $to     when everybody was to be back
     * @param list<GroupFact> $groups in the order of the floor
     * @param list<SeatFact>  $seats  one student never has two at the same time
     */
    public function __construct(
        public string $id,
        public int $round,
        public int $from,
        public int $to,
        public array $groups,
        public array $seats,
    ) {
    }
}
