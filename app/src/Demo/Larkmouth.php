<?php

declare(strict_types=1);

namespace FreshHuddle\App\Demo;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Desk\DeskGoal;
use FreshHuddle\App\Grouping\Desk\DeskMethod;
use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Floor\EditFloor;
use FreshHuddle\App\Grouping\Floor\EditKind;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Proposal\DealRequest;
use FreshHuddle\App\Grouping\Proposal\ProposalApplier;
use FreshHuddle\App\Grouping\Seat\NumberPlan;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Grouping\Seat\SeatRole;
use FreshHuddle\App\Grouping\Seat\SeatTask;
use FreshHuddle\App\Http\Body\Shape;
use FreshHuddle\App\Lesson\Lessons;
use FreshHuddle\App\Lesson\MakeLesson;
use FreshHuddle\App\Lesson\Order\ChangeOrder;
use FreshHuddle\App\Lesson\Order\EditSegment;
use FreshHuddle\App\Lesson\Order\OrderedSegment;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\SaveOriginal;
use FreshHuddle\App\Materials\HandOut\Plan\CellView;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Materials\HandOut\Plan\RowPlan;
use FreshHuddle\App\Materials\HandOut\Plan\SavePlan;
use FreshHuddle\App\Roster\Import\ClassImport;
use FreshHuddle\App\Roster\Import\ImportRequest;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\App\Roster\Rule\MakeRule;
use FreshHuddle\App\Roster\Rule\RuleKind;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Roster\Export\SafeCsv;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Loads `demo/larkmouth.json` through the same services a teacher's presses go through.
 *
 * @phpstan-type LessonData array{title: string, minutes: int, inDays: int, order: list<array{string, int}>,
 *   instructions: string, groups: list<string>, seed: int, original: array<string, mixed>|null}
 * @phpstan-type ClassData array{name: string, doorWord: string, students: list<string>,
 *   about?: list<array{string, string, int, string, string}>,
 *   rules?: list<array{kind: string, students: list<string>}>, lesson: LessonData}
 * @phpstan-type DemoData array{teacher: array{name: string, email: non-empty-string, password: string},
 *   classes: list<ClassData>, lecture: array{name: string, doorWord: string, students: int,
 *   given: list<string>, family: list<string>}}
 */
final readonly class Larkmouth
{
    public function __construct(
        private EntityManagerInterface $em,
        private Roster $roster,
        private Lessons $lessons,
        private RunningOrders $orders,
        private ProposalApplier $applier,
        private FloorChanges $changes,
        private DeskNotes $notes,
        private Numbers $numbers,
        private ClassImport $import,
        private ClassRules $rules,
        private Cupboard $cupboard,
        private HandOutPlan $plan,
        private FloorStore $floors,
        private Shape $shape,
        private UserPasswordHasherInterface $hasher,
        private Clock $clock,
    ) {
    }

    public function load(): void
    {
        /** @var DemoData $data the file is ours and a test loads it */
        $data = json_decode(
            (string) file_get_contents(\dirname(__DIR__, 3).'/demo/larkmouth.json'),
            true,
            32,
            \JSON_THROW_ON_ERROR,
        );
        $teacher = new Teacher(Uuid::v7()->toRfc4122(), $data['teacher']['email'], $data['teacher']['name']);
        $teacher->setPasswordHash($this->hasher->hashPassword($teacher, $data['teacher']['password']));
        $this->em->persist($teacher);

        $this->em->wrapInTransaction(function () use ($teacher, $data): void {
            // The newest class stands first, so the main one comes last.
            $this->lecture($teacher, $data['lecture']);
            foreach (array_reverse($data['classes']) as $class) {
                $made = $this->schoolClass($teacher, $class['name'], $class['doorWord'], $class['students']);
                $this->about($made, $class['about'] ?? [], $class['rules'] ?? []);
                $this->lesson($made, $class['lesson']);
            }
        });
    }

    /**
     * @param array{name: string, doorWord: string, students: int, given: list<string>, family: list<string>} $lecture
     */
    private function lecture(Teacher $teacher, array $lecture): void
    {
        $names = [];
        for ($i = 0; $i < $lecture['students']; ++$i) {
            $given = $lecture['given'][$i % \count($lecture['given'])];
            $names[] =
                $given.' '.$lecture['family'][intdiv($i, \count($lecture['given'])) % \count($lecture['family'])];
        }
        $class = $this->schoolClass($teacher, $lecture['name'], $lecture['doorWord'], $names);
        $round = $this->orders->roundNow(
            $this->lessons->create($class, new MakeLesson('Three coasts, thirty tables', 75, $this->soon(2))),
        );
        $this->applier->deal($round->grouping, new DealRequest(0, groups: 30, seed: 7));
    }

    /**
     * @param list<string> $names
     */
    private function schoolClass(Teacher $teacher, string $name, string $doorWord, array $names): SchoolClass
    {
        $class = $this->roster->create($teacher, $name, implode("\n", $names));
        $class->doorWord = $doorWord;
        $this->em->flush();

        return $class;
    }

    /**
     * What the list says of each student, brought in as a teacher would: name, table, level, home language, tags.
     *
     * @param list<array{string, string, int, string, string}>  $rows
     * @param list<array{kind: string, students: list<string>}> $rules
     */
    private function about(SchoolClass $class, array $rows, array $rules): void
    {
        if ([] === $rows) {
            return;
        }
        $this->import->carryOut(
            $class,
            new ImportRequest(SafeCsv::write([['Name', 'Table', 'Level', 'Home language', 'Tags'], ...$rows])),
        );
        $ids = [];
        foreach ($this->roster->students($class) as $student) {
            $ids[$student->name] = $student->id;
        }
        foreach ($rules as $rule) {
            $this->rules->add(
                $class,
                new MakeRule(
                    RuleKind::from($rule['kind']),
                    array_map(static fn (string $name): string => $ids[$name], $rule['students']),
                ),
            );
        }
    }

    /**
     * @param LessonData $data
     */
    private function lesson(SchoolClass $class, array $data): void
    {
        $round = $this->orders->roundNow(
            $this->lessons->create(
                $class,
                new MakeLesson($data['title'], $data['minutes'], $this->soon($data['inDays'])),
            ),
        );
        $this->orders->edit($round->segment, new EditSegment(instructions: $data['instructions']));
        $first = $round->segment->id;
        $order = [];
        foreach ($data['order'] as [$kind, $minutes]) {
            $order[] = new OrderedSegment(
                SegmentKind::from($kind),
                $minutes,
                SegmentKind::Round->value === $kind ? $first : null,
            );
            $first = SegmentKind::Round->value === $kind ? null : $first;
        }
        $this->orders->change($round->lesson, new ChangeOrder(0, $order));
        $this->groups($round, $data['groups'], $data['seed']);
        if (null !== $data['original']) {
            $original = $this->cupboard->add(
                $class->teacher,
                $this->shape->read(SaveOriginal::class, $data['original'] + ['basedOn' => 0]),
            );
            $cells = [];
            foreach ($this->floors->now($round->grouping->id)->groups as $i => $group) {
                $variant = $original->variants[$i]['id'] ?? null;
                if (\is_string($variant)) {
                    $cells[] = new CellView($group->id, HandOutWay::Together, $variant);
                }
            }
            $this->plan->save(
                $class->teacher,
                $round,
                new SavePlan([new RowPlan($original->id, HandOutWay::Together, $cells)]),
            );
        }
    }

    /**
     * @return int the next full five minutes, so many days ahead; milliseconds since 1970
     */
    private function soon(int $days): int
    {
        return 300_000 * (intdiv($this->clock->ms(), 300_000) + 1) + 86_400_000 * $days;
    }

    /**
     * @param list<string> $names
     */
    private function groups(Round $round, array $names, int $seed): void
    {
        if ([] === $names) {
            return;
        }
        if ([] !== $this->rules->forClass($round->grouping->class->id)) {
            $this->notes->keepSettings(
                $round->grouping->id,
                new DeskSettings(
                    DeskMethod::Balance,
                    groups: \count($names),
                    goals: [
                        new DeskGoal(GoalKind::EachHas, tag: 'lead'),
                        new DeskGoal(GoalKind::Spread, 'Level'),
                        new DeskGoal(GoalKind::NotAlone, 'Home language'),
                        new DeskGoal(GoalKind::NewPartners),
                    ],
                ),
            );
            $this->numbers->keep(
                $round->grouping,
                new NumberPlan(
                    [new SeatRole(1, 'lead'), new SeatRole(2, 'timekeeper')],
                    [new SeatTask([1, 2], 'Rainfall and heights'), new SeatTask([3, 4, 5], 'Houses and money')],
                ),
            );
        }
        $floor = $this->applier->deal($round->grouping, new DealRequest(0, groups: \count($names), seed: $seed));
        foreach ($floor->groups as $i => $group) {
            $floor = $this->changes->edit(
                $round->grouping,
                new EditFloor($floor->step, EditKind::Rename, group: $group->id, name: $names[$i]),
            );
        }
    }
}
