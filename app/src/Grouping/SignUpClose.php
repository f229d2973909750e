<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;

/**
 * Ends a sign-up: whoever has taken no seat gets one of those that are left.
 */
final readonly class SignUpClose
{
    private const TRIES = 5;

    public function __construct(private SignUps $signUps, private FloorStore $floors, private Arranger $arranger, private GroupingDesk $desk, private DeskNotes $notes)
    {
    }

    /**
     * First nobody takes a seat any more, then the rest is seated, then it is over: whoever dies in between, the next try
     * begins from there.
     *
     * @throws Problem 409 if the floor keeps changing; 422 if there are no tables
     */
    public function andSeatTheRest(Grouping $grouping): void
    {
        $seats = $this->signUps->state($grouping->id)->seats ?? \PHP_INT_MAX;
        $this->signUps->stop($grouping->id);
        for ($try = 1;; ++$try) {
            try {
                $this->seat($grouping, $seats);
                break;
            } catch (Problem $e) {
                if (409 !== $e->getStatusCode() || $try >= self::TRIES) {
                    throw $e;
                }
            }
        }
        $this->signUps->close($grouping->id);
    }

    private function seat(Grouping $grouping, int $seats): void
    {
        $floor = $this->floors->now($grouping->id);
        if ([] === $floor->groups) {
            return; // the teacher has taken all tables away: there is nobody to seat anywhere
        }
        $step = $this->floors->steps($grouping->id)['step'];
        $round = $this->arranger->seatTheRest($grouping, $floor, $this->notes->settings($grouping->id), $seats);
        $this->desk->take($grouping, new TakeRequest($step, 'repair', [$round]));
    }
}
