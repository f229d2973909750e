<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Http\Problem;

/**
 * Ends a sign-up: whoever has taken no seat gets the one a repair finds.
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
        $this->signUps->close($grouping->id);
        $floor = $this->floors->now($grouping->id);
        $step = $this->floors->steps($grouping->id)['step'];
        $repair = $this->arranger->repair($grouping, $floor, $this->notes->settings($grouping->id));
        if (null === $repair->round) {
            throw new Problem(422, $repair->conflicts[0]->message ?? 'The rest could not be seated.');
        }
        $this->desk->take($grouping, new TakeRequest($step, 'repair', [$repair->round]));
    }
}
