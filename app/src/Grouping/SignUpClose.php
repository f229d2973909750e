<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Http\Problem;

/**
 * Ends a sign-up: whoever has taken no seat gets one of those that are left.
 */
final readonly class SignUpClose
{
    public function __construct(private SignUps $signUps, private FloorStore $floors, private Arranger $arranger, private GroupingDesk $desk, private DeskNotes $notes)
    {
    }

    /**
     * @throws Problem 409 if the floor changed meanwhile; 422 if the rules leave no seat for somebody
     */
    public function andSeatTheRest(Grouping $grouping): void
    {
        $seats = $this->signUps->state($grouping->id)->seats ?? \PHP_INT_MAX;
        $this->signUps->close($grouping->id);
        $floor = $this->floors->now($grouping->id);
        $step = $this->floors->steps($grouping->id)['step'];
        $round = $this->arranger->seatTheRest($grouping, $floor, $this->notes->settings($grouping->id), $seats);
        $this->desk->take($grouping, new TakeRequest($step, 'repair', [$round]));
    }
}
