<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\Proposer;
use FreshHuddle\App\Grouping\Proposal\ProposeRequest;
use FreshHuddle\App\Grouping\Proposal\TakeRequest;
use FreshHuddle\App\Grouping\Proposal\Taking;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Grouping\GoalKind;

/**
 * Groups once more, in the way they were made before, with new partners wherever rules allow.
 */
final readonly class Regroup
{
    /** How long to look, in milliseconds. */
    private const SEARCH = 800;

    public function __construct(private Groupings $groupings, private Taking $taking, private DeskNotes $notes, private Numbers $numbers, private FloorStore $floors, private Proposer $proposer)
    {
    }

    /**
     * A new grouping, made as the other one was. Where people place and no method, or where nothing can be found, its floor
     * is empty: nobody is seated in a way nobody asked for.
     */
    public function likeBefore(Grouping $before, SchoolClass $class, string $name): Grouping
    {
        $grouping = $this->groupings->create($class, $name);
        $settings = $this->notes->settings($before->id);
        $this->numbers->keep($grouping, $this->numbers->of($before));
        $tables = \count($this->floors->now($before->id)->groups);
        if ($tables > 0 && \in_array($settings->method, [DeskMethod::Deal, DeskMethod::ByHand, DeskMethod::SignUp], true)) {
            $settings = new DeskSettings(DeskMethod::Balance, ShapeKind::Groups, $tables, goals: [new DeskGoal(GoalKind::NewPartners)]);
        }
        $this->notes->keepSettings($grouping->id, $settings);
        if (0 === $tables) {
            return $grouping;
        }
        try {
            $proposal = $this->proposer->propose($grouping, $this->floors->now($grouping->id), new ProposeRequest($settings, forMs: self::SEARCH));
            $last = $proposal->rounds[\count($proposal->rounds) - 1] ?? null;
            if ([] === $proposal->conflicts && null !== $last) {
                $this->taking->take($grouping, new TakeRequest(0, 'balance', [$last]));
            }
        } catch (GroupingRefused) {
            // the desk says why when it is asked there
        }

        return $grouping;
    }
}
