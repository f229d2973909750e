<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ProposalApplier;
use FreshHuddle\App\Grouping\Proposal\TakeRequest;
use FreshHuddle\App\Refusal\RefusalKind;

/**
 * Ends a sign-up: whoever has taken no seat gets one of those that are left.
 */
final readonly class SignUpClose
{
    private const TRIES = 5;

    public function __construct(
        private SignUps $signUps,
        private FloorStore $floors,
        private SeatTheRest $rest,
        private ProposalApplier $applier,
        private DeskNotes $notes,
    ) {
    }

    /**
     * First nobody takes a seat any more, then the rest is seated, then it is over: whoever dies in between, the next
     * try begins from there.
     *
     * @throws GroupingRefused if the floor keeps changing, or if there are no tables
     */
    public function andSeatTheRest(Grouping $grouping): void
    {
        $seats = $this->signUps->state($grouping->id)->seats ?? \PHP_INT_MAX;
        $this->signUps->stop($grouping->id);
        for ($try = 1;; ++$try) {
            try {
                $this->seat($grouping, $seats);
                break;
            } catch (GroupingRefused $e) {
                if (RefusalKind::Outdated !== $e->kind || $try >= self::TRIES) {
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
        $round = $this->rest->propose($grouping, $floor, $this->notes->settings($grouping->id), $seats);
        $this->applier->apply($grouping, new TakeRequest($step, 'repair', [$round]));
    }
}
