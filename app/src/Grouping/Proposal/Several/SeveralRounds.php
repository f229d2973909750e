<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Several;

use FreshHuddle\App\Grouping\Desk\DeskMethod;
use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Desk\Groupings;
use FreshHuddle\App\Grouping\Desk\ShapeKind;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\FillWay;
use FreshHuddle\App\Grouping\Proposal\ProposalApplier;
use FreshHuddle\App\Grouping\Proposal\Proposer;
use FreshHuddle\App\Grouping\Proposal\ProposeRequest;
use FreshHuddle\App\Grouping\Proposal\TakeRequest;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Message;

/**
 * Makes the groupings of several rounds at once.
 */
final readonly class SeveralRounds
{
    /** How long to look, in milliseconds. */
    private const SEARCH = 1_500;

    public function __construct(
        private Groupings $groupings,
        private ProposalApplier $applier,
        private Proposer $proposer,
        private SeveralGroups $several,
        private Words $words,
        private FloorStore $floors,
    ) {
    }

    /**
     * @param Grouping     $base   of the first round as it is: whose class, and what is to be split
     * @param int          $rounds 2 to 12; a split and a jigsaw have two
     * @param int          $size   in each group, of the first round
     * @param list<string> $topics for a jigsaw
     *
     * @return list<Grouping> one a round
     *
     * @throws GroupingRefused if these students cannot be divided so
     */
    public function make(Grouping $base, FillWay $way, int $rounds, int $size, array $topics): array
    {
        $floor = $this->floors->now($base->id);

        return match ($way) {
            FillWay::Same => array_fill(0, $rounds, $base),
            FillWay::Split => [
                $this->grouping(
                    $base,
                    $this->words->say(new Message('grouping.pairs')),
                    $this->parts($base, $floor, $size),
                ),
                $base,
            ],
            FillWay::Snowball => $this->snowball($base, $floor, $rounds, $size),
            FillWay::Rotation => $this->proposed(
                $base,
                $floor,
                new DeskSettings(DeskMethod::Rotation, ShapeKind::Size, size: $size, rounds: $rounds),
            ),
            FillWay::Jigsaw => $this->proposed(
                $base,
                $floor,
                new DeskSettings(DeskMethod::Jigsaw, ShapeKind::Size, size: $size, topics: $topics),
            ),
        };
    }

    /**
     * @return list<ProposedGroup>
     */
    private function parts(Grouping $base, Floor $floor, int $size): array
    {
        $parts = [];
        foreach ($this->several->make($base, $floor, MethodKind::Split, $size, 1)[0] as $students) {
            $home =
                array_values(
                    array_filter($floor->groups, static fn (Group $group): bool => $group->holds($students[0])),
                )[0]->name ?? $this->words->say(new Message('grouping.group', ['number' => 1]));
            $parts[] = new ProposedGroup(null, $home, $students);
        }

        return $parts;
    }

    /**
     * @return list<Grouping>
     */
    private function snowball(Grouping $base, Floor $floor, int $rounds, int $size): array
    {
        $made = [];
        foreach ($this->several->make($base, $floor, MethodKind::Snowball, $size, $rounds) as $groups) {
            $largest = max(1, ...array_map('count', $groups));
            $made[] = $this->grouping(
                $base,
                $this->words->say(new Message('grouping.up_to', ['students' => $largest])),
                array_map(
                    fn (array $students, int $number): ProposedGroup => new ProposedGroup(
                        null,
                        $this->words->say(new Message('grouping.group', ['number' => $number + 1])),
                        $students,
                    ),
                    $groups,
                    array_keys($groups),
                ),
            );
        }

        return $made;
    }

    /**
     * @return list<Grouping>
     */
    private function proposed(Grouping $base, Floor $floor, DeskSettings $settings): array
    {
        $proposal = $this->proposer->propose($base, new Floor(), new ProposeRequest($settings, forMs: self::SEARCH));
        if ([] !== $proposal->conflicts) {
            throw GroupingRefused::unusable(
                'grouping.contradiction',
                'way',
                ['why' => $proposal->conflicts[0]->message],
            );
        }

        return array_map(
            fn (ProposedRound $round, int $number): Grouping => $this->grouping(
                $base,
                '' === $round->name ? (string) ($number + 1) : $round->name,
                array_map(
                    static fn (ProposedGroup $group): ProposedGroup => new ProposedGroup(
                        null,
                        $group->name,
                        $group->students,
                    ),
                    $round->groups,
                ),
            ),
            $proposal->rounds,
            array_keys($proposal->rounds),
        );
    }

    /**
     * @param list<ProposedGroup> $groups
     */
    private function grouping(Grouping $base, string $name, array $groups): Grouping
    {
        $grouping = $this->groupings->create($base->class, mb_substr($base->name.' · '.$name, 0, 80));
        $this->applier->apply($grouping, new TakeRequest(0, 'rotation', [new ProposedRound('', $groups)]));

        return $grouping;
    }
}
