<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Grouping\Desk\DeskMethod;
use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Desk\ShapeKind;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedGroup;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedRound;
use FreshHuddle\App\Roster\Rule\RuleView;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Explain\Standings;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\Method\Balance;
use FreshHuddle\Core\Grouping\Method\ByTable;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Placement;
use FreshHuddle\Core\Grouping\Problem as GroupingProblem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Message;
use Random\Randomizer;
use Symfony\Component\Uid\Uuid;

/**
 * Proposes groups for a class by what the desk is set to. It changes nothing.
 */
final readonly class Proposer
{
    public function __construct(private ClassParts $parts, private FindingWords $view, private Words $words)
    {
    }

    /**
     * @param list<list<list<string>>> $planned groups that come before these and that nobody has sat in yet, the latest
     *     last
     *
     * @throws GroupingRefused if these students cannot be divided so
     */
    public function propose(
        Grouping $grouping,
        Floor $floor,
        ProposeRequest $request,
        array $planned = [],
    ): ProposalView {
        $settings = $request->settings;
        $kind = $settings->method->kind() ?? throw GroupingRefused::unusable('grouping.no_method', 'settings.method');
        $present = $this->parts->present($grouping);
        if ([] === $present) {
            throw GroupingRefused::unusable('grouping.nobody', 'settings.groups');
        }
        $seed = $request->seed ?? (new Randomizer())->getInt(0, 2 ** 31);
        $rules = $this->parts->rules($grouping);
        try {
            $placement = $this->placement($grouping, $floor, $present, $settings);
            $problem = new GroupingProblem(
                ClassParts::students($present),
                $placement->shape(),
                $kind,
                $settings->rounds(),
                [
                    ...ClassParts::musts($rules, $present),
                    ...MethodKind::ByTable === $kind || MethodKind::CountOff === $kind
                        ? []
                        : $placement->fixedSeats(),
                ],
                $this->goalsOf($grouping, $settings),
                [...$this->parts->history($grouping), ...$planned],
                $seed,
                $request->forMs,
                $settings->topics,
            );
            if (MethodKind::Jigsaw === $kind && [] === $settings->topics) {
                throw GroupingRefused::unusable('grouping.topics', 'settings.topics');
            }
            $result = $this->solve($problem, $request);
        } catch (ImpossibleShape|NoWayFound $e) {
            throw GroupingRefused::because($e->says, 'settings.'.$settings->shape->value);
        }

        return $this->answer($problem, $result, $placement, $settings, $rules);
    }

    /**
     * A rotation is about new partners, whether the teacher has said so or not.
     *
     * @return list<Goal> the settings' own first
     */
    private function goalsOf(Grouping $grouping, DeskSettings $settings): array
    {
        $goals = $this->parts->goals($grouping, $settings);
        $says = [] !== array_filter($goals, static fn (Goal $goal): bool => $goal instanceof NewPartners);

        return DeskMethod::Rotation === $settings->method && !$says ? [...$goals, new NewPartners(1.0)] : $goals;
    }

    /**
     * @param list<StudentView> $present
     */
    private function placement(Grouping $grouping, Floor $floor, array $present, DeskSettings $settings): Placement
    {
        $ids = ClassParts::ids($present);
        $newId = static fn (): string => Uuid::v7()->toRfc4122();
        if (DeskMethod::ByTable === $settings->method) {
            $tables = ByTable::tables(new GroupingProblem(ClassParts::students($present), null));
            if ([] === $tables) {
                throw GroupingRefused::unusable('grouping.no_class_tables', 'settings.method');
            }
            $withTable = array_values(
                array_filter($present, static fn (StudentView $student): bool => null !== $student->table),
            );

            return Placement::ontoFloor(
                new Floor($floor->groups),
                ClassParts::ids($withTable),
                new Shape\Groups(\count($tables)),
                $newId,
                $tables,
            );
        }

        return Placement::ontoFloor($floor, $ids, $settings->shape(), $newId, $grouping->class->groupNames);
    }

    private function solve(GroupingProblem $problem, ProposeRequest $request): Result
    {
        $limit = new ClockLimit($request->forMs);
        if (MethodKind::Balance !== $problem->method || null === $request->from) {
            return $problem->method->method()->solve($problem, $limit);
        }
        $from = array_map(
            static fn (ProposedRound $round): array => array_map(
                static fn (ProposedGroup $group): array => $group->students,
                $round->groups,
            ),
            $request->from,
        );
        $last = null;
        foreach ((new Balance())->resume($problem, $from, $limit) as $better) {
            $last = $better;
        }
        \assert(null !== $last, 'A search has a first result.');

        return $last;
    }

    /**
     * @param list<RuleView> $rules
     */
    private function answer(
        GroupingProblem $problem,
        Result $result,
        Placement $placement,
        DeskSettings $settings,
        array $rules,
    ): ProposalView {
        $names = array_map(static fn (Group $group): string => $group->name, $placement->tables);
        if (DeskMethod::ByTable === $settings->method) {
            $names = ByTable::tables($problem);
        }
        $rounds = [];
        foreach ($result->rounds as $round => $groups) {
            $topics = $result->topics[$round] ?? [];
            $isExpert = [] !== array_filter($topics, static fn (string $topic): bool => '' !== $topic);
            $proposed = [];
            foreach ($groups as $g => $students) {
                $name = $isExpert
                    ? self::numbered($topics, $g)
                    : $names[$g] ?? $this->words->say(new Message('grouping.group', ['number' => $g + 1]));
                $proposed[] = new ProposedGroup(
                    $isExpert ? null : $placement->tables[$g]->id ?? null,
                    $name,
                    $students,
                );
            }
            $rounds[] = new ProposedRound($this->roundName($result, $round, $isExpert), $proposed);
        }
        $notes = $this->notes($result, $names, $settings);
        $standings = [];
        $last = $result->rounds[array_key_last($result->rounds) ?? 0] ?? [];
        if ([] !== $last && [] !== $settings->goals) {
            $setting = new Setting($problem->students, FloorInNumbers::sizes($last), $problem->history);
            $standings = (new Standings($setting, $names))->forGoals(
                \array_slice($problem->goals, 0, \count($settings->goals)),
                array_map($setting->numbersOf(...), $last),
            );
        }

        return new ProposalView(
            $result->seed,
            $rounds,
            $result->unplaced,
            array_map($this->view->standing(...), $standings),
            round($result->cost, 6),
            $result->proven,
            $result->repeats,
            $this->view->conflicts($result->conflicts, $rules, $problem),
            $notes,
        );
    }

    /**
     * What of the wish could not be.
     *
     * @param array<int, string> $names of the groups, from 0
     *
     * @return list<string>
     */
    private function notes(Result $result, array $names, DeskSettings $settings): array
    {
        $notes = [];
        foreach ($result->lacking as $group => $topics) {
            $notes[] = $this->words->say(
                new Message('grouping.lacking', [
                    'group' => $names[$group - 1] ?? new Message('grouping.group', ['number' => $group]),
                    'topics' => $topics,
                ]),
            );
        }
        $made = \count($result->rounds[0] ?? []);
        if (
            ShapeKind::Groups === $settings->shape
            && DeskMethod::ByTable !== $settings->method
            && $made > 0
            && $made < $settings->groups
        ) {
            $notes[] = $this->words->say(
                new Message('grouping.fewer_groups', ['groups' => $made, 'wanted' => $settings->groups]),
            );
        }

        return $notes;
    }

    private function roundName(Result $result, int $round, bool $isExpert): string
    {
        return match (true) {
            $isExpert => $this->words->say(new Message('grouping.experts')),
            \count($result->rounds) > 1 && [] === $result->topics => $this->words->say(
                new Message('grouping.round', ['number' => $round + 1]),
            ),
            default => '',
        };
    }

    /**
     * “rainfall”, and “rainfall 2” for the second group of the topic.
     *
     * @param list<string> $topics
     */
    private static function numbered(array $topics, int $group): string
    {
        $before = \count(array_keys(\array_slice($topics, 0, $group), $topics[$group], true));

        return $topics[$group].(0 === $before ? '' : ' '.($before + 1));
    }
}
