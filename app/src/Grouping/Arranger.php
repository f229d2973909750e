<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\ClassRules;
use FreshHuddle\App\Roster\RuleKind;
use FreshHuddle\App\Roster\RuleView;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Explain\DegreeUnit;
use FreshHuddle\Core\Grouping\Explain\Standings;
use FreshHuddle\Core\Grouping\Explain\WhyHere;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Grouping\Method\Balance;
use FreshHuddle\Core\Grouping\Method\ByTable;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Placement;
use FreshHuddle\Core\Grouping\Problem as GroupingProblem;
use FreshHuddle\Core\Grouping\Problem\Disturbance;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Shape\Exactly;
use FreshHuddle\Core\Grouping\SignUp\FirstCome;
use FreshHuddle\Core\Grouping\Student;
use Random\Randomizer;
use Symfony\Component\Uid\Uuid;

/**
 * Puts a class's questions to the grouping computation and its answers into words. It changes nothing.
 */
final readonly class Arranger
{
    /** How long a repair may look, in milliseconds. */
    private const REPAIR_MS = 1_500;

    public function __construct(private ClassReader $classes, private ClassRules $rules, private GroupingUsage $list)
    {
    }

    /**
     * @throws Problem 422 if these students cannot be divided so
     */
    public function propose(Grouping $grouping, Floor $floor, ProposeRequest $request): ProposalView
    {
        $settings = $request->settings;
        $kind = $settings->method->kind() ?? throw new Problem(422, 'Here people place, and no method: use your hands, or open the sign-up.', 'settings.method');
        $present = $this->present($grouping);
        if ([] === $present) {
            throw new Problem(422, 'There is nobody to seat yet. Add students to the class first.', 'settings.groups');
        }
        $seed = $request->seed ?? (new Randomizer())->getInt(0, 2 ** 31);
        $rules = $this->rules->musts($grouping->class->id);
        try {
            $placement = $this->placement($grouping, $floor, $present, $settings);
            $problem = new GroupingProblem(
                array_map(self::student(...), $present),
                $placement->shape(),
                $kind,
                $settings->rounds(),
                [...self::musts($rules, $present), ...(MethodKind::ByTable === $kind || MethodKind::CountOff === $kind ? [] : $placement->fixedSeats())],
                $this->goalsOf($grouping, $settings),
                array_map(static fn (GroupingUse $use): array => $use->groups, $this->list->uses($grouping->class->id)),
                $seed,
                $request->forMs,
                $settings->topics,
            );
            if (MethodKind::Jigsaw === $kind && [] === $settings->topics) {
                throw new Problem(422, 'Which topics? Write one a line.', 'settings.topics');
            }
            $result = $this->solve($problem, $request);
        } catch (ImpossibleShape|NoWayFound $e) {
            throw new Problem(422, $e->getMessage(), 'settings.'.$settings->shape->value);
        }

        return $this->view($problem, $result, $placement, $settings, $rules);
    }

    /**
     * How a floor stands against goals and rules.
     */
    public function standings(Grouping $grouping, Floor $floor, DeskSettings $settings): StandingsView
    {
        [$setting, $groups, $names, $rules] = $this->onFloor($grouping, $floor);
        if ([] === $groups) {
            return new StandingsView(array_map(static fn (): GoalStandingView => new GoalStandingView(0.0, DegreeUnit::Share, 0, 0, ''), $settings->goals), []);
        }
        $standings = (new Standings($setting, $names))->of($this->goals($grouping, $settings), $groups);
        $broken = [];
        $seated = $setting->idsOf($groups);
        foreach ($rules as $rule) {
            $must = self::must($rule);
            foreach ($seated as $group) {
                $there = \count(array_intersect($group, $rule->students));
                $all = \count(array_intersect(array_merge(...$seated), $rule->students));
                if ($must instanceof Apart ? $there > 1 : ($there > 0 && $there < $all)) {
                    $broken[] = new ConflictView([$rule->id], $must->inWords(static fn (string $id): string => isset($setting->index[$id]) ? $setting->students[$setting->index[$id]]->label() : $id));
                    break;
                }
            }
        }

        return new StandingsView(array_map(GoalStandingView::of(...), $standings), $broken);
    }

    public function why(Grouping $grouping, Floor $floor, DeskSettings $settings, string $studentId): WhyView
    {
        $student = array_values(array_filter($this->present($grouping), static fn (StudentView $one): bool => $one->id === $studentId))[0] ?? null;
        [$setting, $groups, , $rules, $tables] = $this->onFloor($grouping, $floor, $student);
        if (!isset($setting->index[$studentId])) {
            return new WhyView([], []);
        }
        $why = new WhyHere($setting, array_map(self::must(...), $rules), $this->goals($grouping, $settings), $groups);
        $number = $setting->index[$studentId];
        $effects = [];
        foreach ($why->effects($number) as $effect) {
            $effects[] = new EffectView($tables[$effect->group]->id, $effect->change < -1e-6 ? 1 : ($effect->change > 1e-6 ? -1 : 0), $effect->breaks);
        }

        return new WhyView($why->reasons($number), $effects);
    }

    /**
     * Groups for several rounds that hang together: split inside the groups of this floor, or joining two by two.
     *
     * @param int $size   in each group, of the first round
     * @param int $rounds 1 or more
     *
     * @return list<list<list<string>>> groups of ids, a list a round
     *
     * @throws Problem 422 if these students cannot be divided so, or rules contradict
     */
    public function several(Grouping $grouping, Floor $floor, MethodKind $kind, int $size, int $rounds): array
    {
        $present = $this->present($grouping);
        $here = array_fill_keys(array_map(static fn (StudentView $student): string => $student->id, $present), true);
        $within = array_values(array_filter(array_map(static fn (Group $group): array => array_values(array_filter($group->students, static fn (string $id): bool => isset($here[$id]))), $floor->groups)));
        if ([] === $present || (MethodKind::Split === $kind && [] === $within)) {
            throw new Problem(422, 'There are no groups to split yet. Deal the class into groups first.', 'way');
        }
        $rules = $this->rules->musts($grouping->class->id);
        $problem = new GroupingProblem(
            array_map(self::student(...), $present),
            new Shape\Size($size, Shape\Remainder::Spread),
            $kind,
            $rounds,
            self::musts($rules, $present),
            [new NewPartners(1.0)],
            array_map(static fn (GroupingUse $use): array => $use->groups, $this->list->uses($grouping->class->id)),
            (new Randomizer())->getInt(0, 2 ** 31),
            self::REPAIR_MS,
            within: $within,
        );
        try {
            $result = $kind->method()->solve($problem, new ClockLimit(self::REPAIR_MS));
        } catch (ImpossibleShape|NoWayFound $e) {
            throw new Problem(422, $e->getMessage(), 'size');
        }
        if (!$result->keepsAllRules()) {
            throw new Problem(422, $result->conflicts[0]->message, 'way');
        }

        return $result->rounds;
    }

    /**
     * @throws Problem 422 if there is no way
     */
    public function repair(Grouping $grouping, Floor $floor, DeskSettings $settings): RepairView
    {
        $students = array_values(array_filter($this->classes->students($grouping->class->id), static fn (StudentView $student): bool => $student->seatable));
        $onList = array_fill_keys(array_map(static fn (StudentView $student): string => $student->id, $students), true);
        $seated = array_fill_keys($floor->seated(), true);
        $current = array_map(static fn (Group $group): array => array_values(array_filter($group->students, static fn (string $id): bool => isset($onList[$id]))), $floor->groups);
        if ([] === $current) {
            throw new Problem(422, 'There are no groups yet.');
        }
        $absent = $arrivals = [];
        foreach ($students as $student) {
            if ($student->absent) {
                $absent[] = $student->id;
            } elseif (!isset($seated[$student->id])) {
                $arrivals[] = $student->id;
            }
        }
        $rules = $this->rules->musts($grouping->class->id);
        $problem = new GroupingProblem(
            array_map(self::student(...), $students),
            null,
            MethodKind::Repair,
            1,
            self::musts($rules, $students),
            $this->goals($grouping, $settings),
            array_map(static fn (GroupingUse $use): array => $use->groups, $this->list->uses($grouping->class->id)),
            disturbance: new Disturbance($current, $absent, $arrivals),
        );
        try {
            $result = MethodKind::Repair->method()->solve($problem, new ClockLimit(self::REPAIR_MS));
        } catch (ImpossibleShape|NoWayFound $e) {
            throw new Problem(422, $e->getMessage());
        }

        return $this->repairView($floor, $result, $arrivals, array_values(array_intersect($absent, $floor->seated())), $rules);
    }

    /**
     * Finds a seat for everybody who has none when a sign-up closes. Who took one keeps it, unless a rule of the class
     * speaks against it (FirstCome): then as few as can be move. No table gets more than it has seats while another has
     * one left, as far as the rules leave a way. Where they leave none at all, everybody is seated all the same, and the
     * desk shows what is broken.
     *
     * @throws Problem 422 if there are no tables
     */
    public function seatTheRest(Grouping $grouping, Floor $floor, DeskSettings $settings, int $seats): ProposedRound
    {
        $present = $this->present($grouping);
        $musts = self::musts($this->rules->musts($grouping->class->id), $present);
        $goals = $this->goals($grouping, $settings);
        $named = array_merge(...array_map(static fn (Rule $rule): array => $rule->students(), $musts));
        $keep = FirstCome::keep(array_map(static fn (Group $group): array => $group->students, $floor->groups), $musts);
        foreach ([$keep, array_values(array_diff($floor->seated(), $named))] as $kept) {
            $round = $this->fillUp($grouping, $floor, $present, $kept, $musts, $goals, $seats);
            if (null !== $round) {
                return $round;
            }
        }

        return $this->repair($grouping, $floor, $settings)->round
            ?? $this->fillUp($grouping, $floor, $present, $floor->seated(), [], $goals, $seats)
            ?? throw new Problem(422, 'The rest could not be seated.');
    }

    /**
     * @param list<StudentView> $present
     * @param list<string>      $kept    ids of those whose seats stay theirs
     * @param list<Rule>        $musts
     * @param list<Goal>        $goals
     */
    private function fillUp(Grouping $grouping, Floor $floor, array $present, array $kept, array $musts, array $goals, int $seats): ?ProposedRound
    {
        $ids = array_map(static fn (StudentView $student): string => $student->id, $present);
        $seated = array_map(static fn (Group $group): int => \count(array_intersect($group->students, $kept, $ids)), $floor->groups);
        if ([] === $seated) {
            return null;
        }
        $placement = Placement::of(new Floor($floor->groups, $kept), $ids, Exactly::fillingUp($seated, \count($ids), $seats), static fn (): string => Uuid::v7()->toRfc4122());
        $problem = new GroupingProblem(
            array_map(self::student(...), $present),
            $placement->shape(),
            MethodKind::Balance,
            1,
            [...$musts, ...$placement->fixedSeats()],
            $goals,
            array_map(static fn (GroupingUse $use): array => $use->groups, $this->list->uses($grouping->class->id)),
            0,
            self::REPAIR_MS,
        );
        $result = MethodKind::Balance->method()->solve($problem, new ClockLimit(self::REPAIR_MS));

        return $result->keepsAllRules()
            ? new ProposedRound('', array_map(static fn (Group $table, array $students): ProposedGroup => new ProposedGroup($table->id, $table->name, $students), $placement->tables, $result->rounds[0]))
            : null;
    }

    /**
     * A rotation is about new partners, whether the teacher has said so or not.
     *
     * @return list<Goal> the settings' own first
     */
    private function goalsOf(Grouping $grouping, DeskSettings $settings): array
    {
        $goals = $this->goals($grouping, $settings);
        $says = [] !== array_filter($goals, static fn (Goal $goal): bool => $goal instanceof NewPartners);

        return DeskMethod::Rotation === $settings->method && !$says ? [...$goals, new NewPartners(1.0)] : $goals;
    }

    /**
     * The goals as they are set; the class's wishes are fetched only where they count.
     *
     * @return list<Goal> weighted by their order
     */
    private function goals(Grouping $grouping, DeskSettings $settings): array
    {
        $wishesCount = [] !== array_filter($settings->goals, static fn (DeskGoal $goal): bool => DeskGoalKind::Wishes === $goal->kind);

        return $settings->goals($wishesCount ? $this->rules->wishes($grouping->class->id) : []);
    }

    /**
     * @return list<StudentView> those who can be seated today
     */
    public function present(Grouping $grouping): array
    {
        return array_values(array_filter(
            $this->classes->students($grouping->class->id),
            static fn (StudentView $student): bool => !$student->absent && $student->seatable,
        ));
    }

    /**
     * @param list<StudentView> $present
     */
    private function placement(Grouping $grouping, Floor $floor, array $present, DeskSettings $settings): Placement
    {
        $ids = array_map(static fn (StudentView $student): string => $student->id, $present);
        $newId = static fn (): string => Uuid::v7()->toRfc4122();
        if (DeskMethod::ByTable === $settings->method) {
            $tables = ByTable::tables(new GroupingProblem(array_map(self::student(...), $present), null));
            if ([] === $tables) {
                throw new Problem(422, 'The class list has no tables yet. Say on the class list who sits at which.', 'settings.method');
            }
            $withTable = array_values(array_filter($present, static fn (StudentView $student): bool => null !== $student->table));

            return Placement::of(new Floor($floor->groups), array_map(static fn (StudentView $student): string => $student->id, $withTable), new Shape\Groups(\count($tables)), $newId, $tables);
        }

        return Placement::of($floor, $ids, $settings->shape(), $newId, $grouping->class->groupNames);
    }

    private function solve(GroupingProblem $problem, ProposeRequest $request): Result
    {
        $limit = new ClockLimit($request->forMs);
        if (MethodKind::Balance !== $problem->method || null === $request->from) {
            return $problem->method->method()->solve($problem, $limit);
        }
        $from = array_map(static fn (ProposedRound $round): array => array_map(static fn (ProposedGroup $group): array => $group->students, $round->groups), $request->from);
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
    private function view(GroupingProblem $problem, Result $result, Placement $placement, DeskSettings $settings, array $rules): ProposalView
    {
        $names = array_map(static fn (Group $group): string => $group->name, $placement->tables);
        if (DeskMethod::ByTable === $settings->method) {
            $names = ByTable::tables($problem);
        }
        $rounds = $notes = [];
        foreach ($result->rounds as $round => $groups) {
            $topics = $result->topics[$round] ?? [];
            $isExpert = [] !== array_filter($topics, static fn (string $topic): bool => '' !== $topic);
            $proposed = [];
            foreach ($groups as $g => $students) {
                $name = $isExpert ? self::numbered($topics, $g) : $names[$g] ?? 'Group '.($g + 1);
                $proposed[] = new ProposedGroup($isExpert ? null : $placement->tables[$g]->id ?? null, $name, $students);
            }
            $rounds[] = new ProposedRound($isExpert ? 'experts' : (\count($result->rounds) > 1 && [] === $result->topics ? 'round '.($round + 1) : ''), $proposed);
        }
        foreach ($result->lacking as $group => $topics) {
            $notes[] = \sprintf('%s has nobody for %s.', $names[$group - 1] ?? 'Group '.$group, Rule\Names::list($topics));
        }
        $standings = [];
        $last = $result->rounds[array_key_last($result->rounds) ?? 0] ?? [];
        if ([] !== $last && [] !== $settings->goals) {
            $setting = new Setting($problem->students, self::sizes($last), $problem->history);
            $standings = (new Standings($setting, $names))->of(\array_slice($problem->goals, 0, \count($settings->goals)), array_map($setting->numbersOf(...), $last));
        }

        return new ProposalView(
            $result->seed,
            $rounds,
            $result->unplaced,
            array_map(GoalStandingView::of(...), $standings),
            round($result->cost, 6),
            $result->proven,
            $result->repeats,
            self::conflicts($result->conflicts, $rules, $problem),
            $notes,
        );
    }

    /**
     * @param list<string>   $arrivals
     * @param list<string>   $leaving
     * @param list<RuleView> $rules
     */
    private function repairView(Floor $floor, Result $result, array $arrivals, array $leaving, array $rules): RepairView
    {
        $names = array_map(static fn (Group $group): string => $group->name, $floor->groups);
        if (!$result->keepsAllRules()) {
            return new RepairView(null, [], [], $leaving, self::conflicts($result->conflicts, $rules, null));
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
            $because = (string) preg_replace_callback('/^Group (\d+) /', static fn (array $m): string => ($names[(int) $m[1] - 1] ?? 'Group '.$m[1]).' ', $move->because);
            $moves[] = new RepairMove($move->student, $names[$move->from - 1], $names[$move->to - 1], $because);
        }

        return new RepairView(new ProposedRound('', $groups), $moves, $placed, $leaving, []);
    }

    /**
     * A floor in the numbers of the computation: students who are here and seated, empty tables included.
     *
     * @return array{Setting, list<list<int>>, list<string>, list<RuleView>, list<Group>}
     */
    private function onFloor(Grouping $grouping, Floor $floor, ?StudentView $also = null): array
    {
        $seated = array_fill_keys($floor->seated(), true);
        $students = array_values(array_filter($this->present($grouping), static fn (StudentView $student): bool => isset($seated[$student->id]) || $student->id === $also?->id));
        $here = array_map(self::student(...), $students);
        $ids = array_fill_keys(array_map(static fn (Student $student): string => $student->id, $here), true);
        $groups = array_map(static fn (Group $group): array => array_values(array_filter($group->students, static fn (string $id): bool => isset($ids[$id]))), $floor->groups);
        $history = array_map(static fn (GroupingUse $use): array => $use->groups, $this->list->uses($grouping->class->id));
        $setting = new Setting($here, self::sizes($groups), $history);

        return [
            $setting,
            array_map($setting->numbersOf(...), $groups),
            array_map(static fn (Group $group): string => $group->name, $floor->groups),
            array_values(array_filter($this->rules->musts($grouping->class->id), static fn (RuleView $rule): bool => \count(array_intersect($rule->students, array_keys($ids))) > 1)),
            $floor->groups,
        ];
    }

    /**
     * @param list<list<string>> $groups
     *
     * @return list<int> larger first
     */
    private static function sizes(array $groups): array
    {
        $sizes = array_map('count', $groups);
        rsort($sizes);

        return $sizes;
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

    private static function student(StudentView $student): Student
    {
        $attributes = [];
        foreach ($student->attributes as $attribute) {
            $attributes[$attribute->name] = $attribute->typed();
        }

        return new Student($student->id, $student->name, $student->table, $attributes, $student->tags);
    }

    private static function must(RuleView $rule): Apart|Together
    {
        return RuleKind::Apart === $rule->kind ? new Apart($rule->students) : new Together($rule->students);
    }

    /**
     * @param list<RuleView>    $rules
     * @param list<StudentView> $present
     *
     * @return list<Rule> in the order of the rules; one about fewer than two who are here is about nobody
     */
    private static function musts(array $rules, array $present): array
    {
        $here = array_fill_keys(array_map(static fn (StudentView $student): string => $student->id, $present), true);

        return array_values(array_filter(array_map(static fn (RuleView $rule): ?Rule => self::must($rule)->among($here), $rules)));
    }

    /**
     * @param list<Conflict> $conflicts
     * @param list<RuleView> $rules
     *
     * @return list<ConflictView>
     */
    private static function conflicts(array $conflicts, array $rules, ?GroupingProblem $problem): array
    {
        return array_map(static function (Conflict $conflict) use ($rules, $problem): ConflictView {
            $ids = [];
            foreach ($conflict->rules as $number) {
                $about = $problem?->rules[$number]->students() ?? $rules[$number]->students ?? [];
                foreach ($rules as $rule) {
                    if ([] === array_diff($about, $rule->students) && \count($about) > 1) {
                        $ids[] = $rule->id;
                    }
                }
            }

            return new ConflictView(array_values(array_unique($ids)), $conflict->message);
        }, $conflicts);
    }
}
