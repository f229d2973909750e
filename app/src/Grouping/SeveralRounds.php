<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\MethodKind;

/**
 * Makes the groupings of several rounds at once.
 */
final readonly class SeveralRounds
{
    /** How long to look, in milliseconds. */
    private const SEARCH = 1_500;

    public function __construct(private GroupingDesk $desk, private Arranger $arranger, private FloorStore $floors)
    {
    }

    /**
     * @param Grouping     $base   of the first round as it is: whose class, and what is to be split
     * @param int          $rounds 2 to 12; a split and a jigsaw have two
     * @param int          $size   in each group, of the first round
     * @param list<string> $topics for a jigsaw
     *
     * @return list<Grouping> one a round
     *
     * @throws Problem 422 if these students cannot be divided so
     */
    public function make(Grouping $base, FillWay $way, int $rounds, int $size, array $topics): array
    {
        $floor = $this->floors->now($base->id);

        return match ($way) {
            FillWay::Same => array_fill(0, $rounds, $base),
            FillWay::Split => [$this->grouping($base, 'pairs', $this->parts($base, $floor, $size)), $base],
            FillWay::Snowball => $this->snowball($base, $floor, $rounds, $size),
            FillWay::Rotation => $this->proposed($base, $floor, new DeskSettings(DeskMethod::Rotation, ShapeKind::Size, size: $size, rounds: $rounds)),
            FillWay::Jigsaw => $this->proposed($base, $floor, new DeskSettings(DeskMethod::Jigsaw, ShapeKind::Size, size: $size, topics: $topics)),
        };
    }

    /**
     * @return list<ProposedGroup>
     */
    private function parts(Grouping $base, Floor $floor, int $size): array
    {
        $parts = [];
        foreach ($this->arranger->several($base, $floor, MethodKind::Split, $size, 1)[0] as $students) {
            $home = array_values(array_filter($floor->groups, static fn (Group $group): bool => $group->holds($students[0])))[0]->name ?? 'Group';
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
        foreach ($this->arranger->several($base, $floor, MethodKind::Snowball, $size, $rounds) as $groups) {
            $largest = max(1, ...array_map('count', $groups));
            $made[] = $this->grouping($base, 'up to '.$largest, array_map(static fn (array $students, int $number): ProposedGroup => new ProposedGroup(null, 'Group '.($number + 1), $students), $groups, array_keys($groups)));
        }

        return $made;
    }

    /**
     * @return list<Grouping>
     */
    private function proposed(Grouping $base, Floor $floor, DeskSettings $settings): array
    {
        $proposal = $this->arranger->propose($base, new Floor(), new ProposeRequest($settings, forMs: self::SEARCH));
        if ([] !== $proposal->conflicts) {
            throw new Problem(422, $proposal->conflicts[0]->message, 'way');
        }

        return array_map(
            fn (ProposedRound $round, int $number): Grouping => $this->grouping($base, '' === $round->name ? (string) ($number + 1) : $round->name, array_map(
                static fn (ProposedGroup $group): ProposedGroup => new ProposedGroup(null, $group->name, $group->students),
                $round->groups,
            )),
            $proposal->rounds,
            array_keys($proposal->rounds),
        );
    }

    /**
     * @param list<ProposedGroup> $groups
     */
    private function grouping(Grouping $base, string $name, array $groups): Grouping
    {
        $grouping = $this->desk->create($base->class, mb_substr($base->name.' · '.$name, 0, 80));
        $this->desk->take($grouping, new TakeRequest(0, 'rotation', [new ProposedRound('', $groups)]));

        return $grouping;
    }
}
