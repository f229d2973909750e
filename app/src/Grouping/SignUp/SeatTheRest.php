<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\App\Grouping\Proposal\ClockLimit;
use FreshHuddle\App\Grouping\Proposal\Repair\Repairer;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedGroup;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedRound;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Placement;
use FreshHuddle\Core\Grouping\Problem as GroupingProblem;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Shape\Exactly;
use FreshHuddle\Core\Grouping\SignUp\FirstCome;
use Symfony\Component\Uid\Uuid;

/**
 * Finds a seat for everybody who has none when a sign-up closes.
 */
final readonly class SeatTheRest
{
    /** How long it may look, in milliseconds. */
    private const SEARCH_MS = 1_500;

    public function __construct(private ClassParts $parts, private Repairer $repairer)
    {
    }

    /**
     * Who took a seat keeps it, unless a rule of the class speaks against it (FirstCome): then as few as can be move.
     * No table gets more than it has seats while another has one left, as far as the rules leave a way. Where they
     * leave none at all, everybody is seated all the same, and the desk shows what is broken.
     *
     * @throws GroupingRefused if there are no tables
     */
    public function propose(Grouping $grouping, Floor $floor, DeskSettings $settings, int $seats): ProposedRound
    {
        $present = $this->parts->present($grouping);
        $musts = ClassParts::musts($this->parts->rules($grouping), $present);
        $goals = $this->parts->goals($grouping, $settings);
        $named = array_merge(...array_map(static fn (Rule $rule): array => $rule->students(), $musts));
        $keep = FirstCome::keep(
            array_map(static fn (Group $group): array => $group->students, $floor->groups),
            $musts,
        );
        foreach ([$keep, array_values(array_diff($floor->seated(), $named))] as $kept) {
            $round = $this->fillUp($grouping, $floor, $present, $kept, $musts, $goals, $seats);
            if (null !== $round) {
                return $round;
            }
        }

        return $this->repairer->repair($grouping, $floor, $settings)->round ??
            ($this->fillUp($grouping, $floor, $present, $floor->seated(), [], $goals, $seats) ??
                throw GroupingRefused::unusable('grouping.rest'));
    }

    /**
     * @param list<StudentView> $present
     * @param list<string>      $kept    ids of those whose seats stay theirs
     * @param list<Rule>        $musts
     * @param list<Goal>        $goals
     */
    private function fillUp(
        Grouping $grouping,
        Floor $floor,
        array $present,
        array $kept,
        array $musts,
        array $goals,
        int $seats,
    ): ?ProposedRound {
        $ids = ClassParts::ids($present);
        $seated = array_map(
            static fn (Group $group): int => \count(array_intersect($group->students, $kept, $ids)),
            $floor->groups,
        );
        if ([] === $seated) {
            return null;
        }
        $placement = Placement::ontoFloor(
            new Floor($floor->groups, $kept),
            $ids,
            Exactly::fillingUp($seated, \count($ids), $seats),
            static fn (): string => Uuid::v7()->toRfc4122(),
        );
        $problem = new GroupingProblem(
            ClassParts::students($present),
            $placement->shape(),
            MethodKind::Balance,
            1,
            [...$musts, ...$placement->fixedSeats()],
            $goals,
            $this->parts->history($grouping),
            0,
            self::SEARCH_MS,
        );
        $result = MethodKind::Balance->method()->solve($problem, new ClockLimit(self::SEARCH_MS));

        return $result->keepsAllRules()
            ? new ProposedRound(
                '',
                array_map(
                    static fn (Group $table, array $students): ProposedGroup => new ProposedGroup(
                        $table->id,
                        $table->name,
                        $students,
                    ),
                    $placement->tables,
                    $result->rounds[0],
                ),
            )
            : null;
    }
}
