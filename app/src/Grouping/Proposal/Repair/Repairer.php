<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Repair;

use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\App\Grouping\Proposal\ClockLimit;
use FreshHuddle\App\Grouping\Proposal\FindingWords;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedGroup;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedRound;
use FreshHuddle\App\Grouping\Proposal\WhoIsHere;
use FreshHuddle\App\Roster\Rule\RuleView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem as GroupingProblem;
use FreshHuddle\Core\Grouping\Problem\Disturbance;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule\NotIn;

/**
 * Mends groups when somebody is missing or late. It changes nothing.
 */
final readonly class Repairer
{
    /** How long it may look, in milliseconds. */
    private const REPAIR_MS = 1_500;

    public function __construct(
        private ClassParts $parts,
        private FindingWords $view,
        private Words $words,
        private WhoIsHere $whoIsHere,
    ) {
    }

    /**
     * @throws GroupingRefused if there is no way
     */
    public function repair(Grouping $grouping, Floor $floor, DeskSettings $settings): RepairView
    {
        $students = $this->parts->seatable($grouping);
        $onList = array_fill_keys(ClassParts::ids($students), true);
        $seated = array_fill_keys($floor->seated(), true);
        $current = array_map(
            static fn (Group $group): array => array_values(
                array_filter($group->students, static fn (string $id): bool => isset($onList[$id])),
            ),
            $floor->groups,
        );
        if ([] === $current) {
            throw GroupingRefused::unusable('grouping.no_groups');
        }
        $absent = $arrivals = [];
        foreach ($students as $student) {
            if ($student->absent) {
                $absent[] = $student->id;
            } elseif (!isset($seated[$student->id])) {
                $arrivals[] = $student->id;
            }
        }
        $rules = $this->parts->rules($grouping);
        $problem = new GroupingProblem(
            ClassParts::students($students),
            null,
            MethodKind::Repair,
            1,
            [...ClassParts::musts($rules, $students), ...$this->notWhereNobodyIs($grouping, $current, $arrivals)],
            $this->parts->goals($grouping, $settings),
            $this->parts->history($grouping),
            disturbance: new Disturbance($current, $absent, $arrivals),
        );
        try {
            $result = MethodKind::Repair->method()->solve($problem, new ClockLimit(self::REPAIR_MS));
        } catch (ImpossibleShape|NoWayFound $e) {
            throw GroupingRefused::because($e->says);
        }

        return $this->repairView(
            $floor,
            $result,
            $arrivals,
            array_values(array_intersect($absent, $floor->seated())),
            $rules,
        );
    }

    /**
     * Whoever arrives while a lesson is on gets no seat at a table where nobody has come.
     *
     * @param list<list<string>> $current
     * @param list<string>       $arrivals
     *
     * @return list<NotIn>
     */
    private function notWhereNobodyIs(Grouping $grouping, array $current, array $arrivals): array
    {
        $present = [] === $arrivals ? null : $this->whoIsHere->in($grouping->id);
        $empty = [];
        foreach ($current as $g => $group) {
            if (null !== $present && [] === array_intersect($group, $present)) {
                $empty[] = $g + 1;
            }
        }
        if (\count($empty) === \count($current)) {
            return []; // nobody sits anywhere yet
        }
        $rules = [];
        foreach ($arrivals as $student) {
            foreach ($empty as $group) {
                $rules[] = new NotIn($student, $group);
            }
        }

        return $rules;
    }

    /**
     * @param list<string>   $arrivals
     * @param list<string>   $leaving
     * @param list<RuleView> $rules
     */
    private function repairView(
        Floor $floor,
        Result $result,
        array $arrivals,
        array $leaving,
        array $rules,
    ): RepairView {
        $names = array_map(static fn (Group $group): string => $group->name, $floor->groups);
        if (!$result->keepsAllRules()) {
            return new RepairView(null, [], [], $leaving, $this->view->conflicts($result->conflicts, $rules, null));
        }
        $groups = $seats = [];
        foreach ($floor->groups as $g => $group) {
            $groups[] = new ProposedGroup($group->id, $group->name, $result->rounds[0][$g] ?? []);
            foreach ($result->rounds[0][$g] ?? [] as $id) {
                $seats[$id] = $group->name;
            }
        }
        $placed = [];
        foreach ($arrivals as $id) {
            if (isset($seats[$id])) {
                $placed[] = new RepairMove($id, null, $seats[$id], '');
            }
        }
        $moves = [];
        foreach ($result->moves as $move) {
            $number = $move->because->values['number'] ?? null;
            $because = $this->words->say(
                \is_int($number) && isset($names[$number - 1])
                    ? $move->because->with(['group' => $names[$number - 1]])
                    : $move->because,
            );
            $moves[] = new RepairMove($move->student, $names[$move->from - 1], $names[$move->to - 1], $because);
        }

        return new RepairView(new ProposedRound('', $groups), $moves, $placed, $leaving, []);
    }
}
