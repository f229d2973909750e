<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Several;

use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\App\Grouping\Proposal\ClockLimit;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem as GroupingProblem;
use FreshHuddle\Core\Grouping\Shape;
use Random\Randomizer;

/**
 * Groups for several rounds that hang together: split inside the groups of a floor, or joining two by two.
 */
final readonly class SeveralGroups
{
    /** How long to look, in milliseconds. */
    private const SEARCH_MS = 1_500;

    public function __construct(private ClassParts $parts)
    {
    }

    /**
     * @param int $size   in each group, of the first round
     * @param int $rounds 1 or more
     *
     * @return list<list<list<string>>> groups of ids, a list a round
     *
     * @throws GroupingRefused if these students cannot be divided so, or rules contradict
     */
    public function make(Grouping $grouping, Floor $floor, MethodKind $kind, int $size, int $rounds): array
    {
        $present = $this->parts->present($grouping);
        $isPresent = array_fill_keys(ClassParts::ids($present), true);
        $within = array_values(
            array_filter(
                array_map(
                    static fn (Group $group): array => array_values(
                        array_filter($group->students, static fn (string $id): bool => isset($isPresent[$id])),
                    ),
                    $floor->groups,
                ),
            ),
        );
        if ([] === $present || (MethodKind::Split === $kind && [] === $within)) {
            throw GroupingRefused::unusable('grouping.nothing_to_split', 'way');
        }
        $rules = $this->parts->rules($grouping);
        $problem = new GroupingProblem(
            ClassParts::students($present),
            new Shape\Size($size, Shape\Remainder::Spread),
            $kind,
            $rounds,
            ClassParts::musts($rules, $present),
            [new NewPartners(1.0)],
            $this->parts->history($grouping),
            (new Randomizer())->getInt(0, 2 ** 31),
            self::SEARCH_MS,
            within: $within,
        );
        try {
            $result = $kind->method()->solve($problem, new ClockLimit(self::SEARCH_MS));
        } catch (ImpossibleShape|NoWayFound $e) {
            throw GroupingRefused::because($e->says, 'size');
        }
        if (!$result->keepsAllRules()) {
            throw GroupingRefused::because($result->conflicts[0]->message, 'way');
        }

        return $result->rounds;
    }
}
