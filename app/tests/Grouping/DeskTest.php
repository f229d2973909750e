<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Grouping;

use FreshHuddle\App\Tests\Formats\Schema;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Smalot\PdfParser\Parser;

/**
 * The Groups page: groups by goals and rules, and what is said of them.
 */
final class DeskTest extends AppTestCase
{
    private string $classId;
    private string $desk;
    private string $lesson;

    /** @var list<string> */
    private array $students;

    protected function setUp(): void
    {
        parent::setUp();
        $lesson = $this->newLesson(12);
        $this->lesson = $lesson->text('id');
        $this->classId = $lesson->text('classId');
        $this->desk = '/api/staff/groupings/'.$lesson->text('floor.id');
        $this->students = array_map(static fn (int $i): string => $lesson->text("students.{$i}.id"), range(0, 11));
        foreach ($this->students as $i => $student) {
            $this->ask('PATCH', "/api/staff/students/{$student}", [
                'table' => \chr(65 + intdiv($i, 4)),
                'tags' => 0 === $i % 4 ? ['lead'] : [],
                'attributes' => [
                    ['name' => 'level', 'value' => (string) (1 + ($i % 3))],
                    ['name' => 'language', 'value' => ['so', 'pl', 'uk'][$i % 3]],
                ],
            ]);
        }
    }

    public function test_goals_and_rules_are_met_and_said_in_words_before_anything_is_changed(): void
    {
        $this->rule('apart', 0, 1);
        $this->rule('together', 2, 3);
        $proposal = $this->propose([
            'method' => 'balance',
            'groups' => 3,
            'goals' => [['kind' => 'eachHas', 'tag' => 'lead'], ['kind' => 'spread', 'attribute' => 'level']],
        ])->is(200);
        self::assertSame([], $proposal->list('conflicts'));
        self::assertCount(2, $proposal->list('goals'));
        self::assertEqualsWithDelta(1.0, $proposal->at('goals.0.met'), 1e-6, 'a lead in each');
        $groupOf = self::groupOf($proposal, 0);
        self::assertNotSame($groupOf[$this->students[0]], $groupOf[$this->students[1]]);
        self::assertSame($groupOf[$this->students[2]], $groupOf[$this->students[3]]);
        self::assertSame([], $this->ask('GET', $this->desk)->list('floor.groups'), 'a proposal changes nothing');

        $floor = $this->take($proposal, 0, 'balance')->is(200);
        self::assertSame('balance', $floor->text('undo'));
        self::assertEqualsCanonicalizing(
            $this->students,
            array_merge(
                $floor->texts('groups.0.students'),
                $floor->texts('groups.1.students'),
                $floor->texts('groups.2.students'),
            ),
        );
    }

    public function test_the_search_goes_on_from_where_it_was_and_never_gets_worse(): void
    {
        $settings = [
            'method' => 'balance',
            'groups' => 4,
            'goals' => [
                ['kind' => 'spread', 'attribute' => 'language'],
                ['kind' => 'notAlone', 'attribute' => 'language'],
            ],
        ];
        $first = $this->propose($settings, ['forMs' => 5]);
        $next = $this->propose($settings, ['forMs' => 100, 'from' => $first->list('rounds'), 'seed' => 2]);
        self::assertLessThanOrEqual($first->at('cost'), $next->at('cost'));
    }

    public function test_wishes_are_a_goal_and_no_must(): void
    {
        $this->rule('apart', 0, 1);
        $this->rule('wish', 0, 1);
        $this->rule('wish', 4, 5, 6);
        $this->rule('wish', 5, 4, 6);
        self::assertSame(
            'This rule already exists.',
            $this->ask('POST', "/api/staff/classes/{$this->classId}/rules", [
                'kind' => 'wish',
                'students' => [$this->students[4], $this->students[6], $this->students[5]],
            ])
                ->is(422)
                ->text('errors.0.message'),
        );
        $proposal = $this->propose(['method' => 'balance', 'groups' => 3, 'goals' => [['kind' => 'wishes']]])->is(
            200,
        );
        self::assertSame([], $proposal->list('conflicts'), 'a wish contradicts no must');
        $groupOf = self::groupOf($proposal, 0);
        self::assertNotSame($groupOf[$this->students[0]], $groupOf[$this->students[1]]);
        self::assertContains($groupOf[$this->students[4]], [
            $groupOf[$this->students[5]],
            $groupOf[$this->students[6]],
        ]);
        self::assertContains($groupOf[$this->students[5]], [
            $groupOf[$this->students[4]],
            $groupOf[$this->students[6]],
        ]);
        self::assertSame('no wish met for Student A', $proposal->text('goals.0.obstacle'));

        $floor = $this->take($proposal, 0, 'balance')->is(200);
        $why = $this->ask('POST', $this->desk.'/why', [
            'settings' => ['method' => 'balance', 'groups' => 3, 'goals' => [['kind' => 'wishes']]],
            'student' => $this->students[4],
        ])->is(200);
        self::assertStringContainsString('Wished to be with Student ', implode(' ', $why->texts('reasons')));
        self::assertNotSame([], $floor->list('groups'));

        $this->ask('DELETE', '/api/staff/students/'.$this->students[4])->is(204);
        $left = array_filter(
            $this->ask('GET', "/api/staff/classes/{$this->classId}")->list('rules'),
            static fn (mixed $rule): bool => \is_array($rule) && 'wish' === $rule['kind'],
        );
        self::assertCount(
            2,
            $left,
            'the wish of somebody who has left is no wish; one for somebody who has left is a wish for the others',
        );
    }

    public function test_contradicting_rules_are_named_and_can_be_lifted(): void
    {
        $apart = $this->rule('apart', 0, 1)->text('rule.id');
        $together = $this->rule('together', 0, 1)->text('rule.id');
        $proposal = $this->propose(['method' => 'balance', 'groups' => 3]);
        self::assertSame([], $proposal->list('rounds'));
        self::assertEqualsCanonicalizing([$apart, $together], $proposal->texts('conflicts.0.rules'));
        self::assertStringContainsString('“Student A and Student B apart”', $proposal->text('conflicts.0.message'));
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3])->is(422);
        $this->ask('DELETE', "/api/staff/rules/{$apart}")->is(204);
        self::assertCount(1, $this->propose(['method' => 'balance', 'groups' => 3])->list('rounds'));
    }

    public function test_every_method_places_the_class(): void
    {
        foreach (['deal', 'countOff', 'byTable', 'balance'] as $method) {
            $proposal = $this->propose(['method' => $method, 'groups' => 3])->is(200);
            self::assertCount(12, self::groupOf($proposal, 0), $method);
        }
        self::assertSame(
            ['A', 'B', 'C'],
            array_map(
                fn (int $g): string => $this->propose(['method' => 'byTable'])->text("rounds.0.groups.{$g}.name"),
                range(0, 2),
            ),
        );
        $this->propose(['method' => 'byHand'])->is(422);
        self::assertSame(
            'settings.topics',
            $this->propose(['method' => 'jigsaw', 'groups' => 3])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertSame(
            'settings.sizes',
            $this->propose(['method' => 'deal', 'shape' => 'sizes', 'sizes' => [5, 5]])
                ->is(422)
                ->text('errors.0.field'),
        );
        $given = $this->propose(['method' => 'deal', 'shape' => 'sizes', 'sizes' => [5, 4, 3]])->is(200);
        self::assertSame(
            [5, 4, 3],
            array_map(static fn (int $g): int => \count($given->list("rounds.0.groups.{$g}.students")), range(0, 2)),
        );
    }

    public function test_a_rotation_becomes_groupings_of_their_own(): void
    {
        $proposal = $this->propose([
            'method' => 'rotation',
            'shape' => 'size',
            'size' => 3,
            'rounds' => 3,
            'goals' => [['kind' => 'newPartners']],
        ])->is(200);
        self::assertSame(0, $proposal->int('repeats'));
        $unsaid = $this->propose(['method' => 'rotation', 'shape' => 'size', 'size' => 4, 'rounds' => 4])->is(200);
        self::assertSame($unsaid->int('repeats') > 0, $unsaid->at('cost') > 0, 'new partners count, said or not');
        $this->take($proposal, 0, 'rotation')->is(200);
        $class = $this->ask('GET', "/api/staff/classes/{$this->classId}/groupings");
        self::assertSame([4, 4, 4], array_map(static fn (int $i): int => $class->int("{$i}.groups"), range(0, 2)));
        self::assertStringEndsWith('round 2', $class->text('0.name'));
    }

    public function test_a_jigsaw_has_expert_groups_by_topic_and_home_groups_on_the_floor(): void
    {
        $proposal = $this->propose([
            'method' => 'jigsaw',
            'shape' => 'size',
            'size' => 4,
            'topics' => ['rain', 'heights', 'houses', 'money'],
        ])->is(200);
        self::assertSame(['experts', ''], [$proposal->text('rounds.0.name'), $proposal->text('rounds.1.name')]);
        self::assertSame(
            ['rain', 'heights', 'houses', 'money'],
            array_map(static fn (int $g): string => $proposal->text("rounds.0.groups.{$g}.name"), range(0, 3)),
        );
        $floor = $this->take($proposal, 0, 'jigsaw')->is(200);
        self::assertSame('Group 1', $floor->text('groups.0.name'));
    }

    public function test_absent_and_late_students_are_repaired_with_the_moves_shown_first(): void
    {
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 4, 'seed' => 5]);
        $floor = $this->ask('GET', $this->desk);
        [$one, $two, $three] = $floor->texts('floor.groups.0.students');
        foreach ([$one, $two] as $absent) {
            $this->ask('PATCH', "/api/staff/students/{$absent}", ['absent' => true]);
        }
        $late = $this->ask('POST', "/api/staff/classes/{$this->classId}/import", ['text' => "Name\nLate Comer"])->is(
            200,
        );
        self::assertSame(1, $late->int('added'));
        $repair = $this->ask('POST', $this->desk.'/repair')->is(200);
        self::assertSame([], $repair->list('moves'), 'the late student saves the group of one');
        self::assertSame('Group 1', $repair->text('arrivals.0.to'));
        self::assertEqualsCanonicalizing([$one, $two], $repair->texts('leaving'));
        $taken = $this->ask('POST', $this->desk.'/take', [
            'basedOn' => 1,
            'what' => 'repair',
            'rounds' => [$repair->at('round')],
        ])->is(200);
        self::assertCount(2, $taken->texts('groups.0.students'));
        self::assertContains($three, $taken->texts('groups.0.students'));
        self::assertSame($floor->text('floor.groups.0.id'), $taken->text('groups.0.id'), 'rooms and copies stay');
    }

    public function test_what_a_move_would_break_is_said_before_the_drop(): void
    {
        $this->rule('apart', 0, 1);
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3, 'seed' => 1]);
        $floor = $this->ask('GET', $this->desk);
        $why = $this->ask('POST', $this->desk.'/why', [
            'student' => $this->students[0],
            'settings' => ['goals' => [['kind' => 'eachHas', 'tag' => 'lead']]],
        ])->is(200);
        self::assertContains('Has to be apart from Student B.', $why->texts('reasons'));
        $breaks = [];
        foreach ([0, 1] as $i) {
            foreach ($why->texts("effects.{$i}.breaks") as $rule) {
                $breaks[$why->text("effects.{$i}.group")] = $rule;
            }
        }
        $theirs = 0;
        while (!\in_array($this->students[1], $floor->texts("floor.groups.{$theirs}.students"), true)) {
            ++$theirs;
        }
        self::assertSame([$floor->text("floor.groups.{$theirs}.id") => 'Student A and Student B apart'], $breaks);
        $judged = $this->ask('POST', $this->desk.'/edits', [
            'basedOn' => 1,
            'kind' => 'seat',
            'student' => $this->students[0],
            'group' => $floor->text("floor.groups.{$theirs}.id"),
        ])->is(200);
        self::assertSame(2, $judged->int('step'), 'a teacher may break a rule');
        self::assertSame(
            'Student A and Student B apart',
            $this->ask('GET', $this->desk)->text('standings.broken.0.message'),
        );
    }

    public function test_roles_go_to_those_who_have_had_them_least(): void
    {
        $this->ask('PATCH', $this->desk, [
            'numbers' => [
                'roles' => [['number' => 1, 'role' => 'captain']],
                'tasks' => [['numbers' => [1, 2], 'task' => 'rainfall'], ['numbers' => [3, 4], 'task' => 'heights']],
            ],
        ])->is(200);
        $this->setRound($this->lesson, ['lookSeconds' => 0]);
        $led = [];
        $before = null;
        for ($round = 0; $round < 4; ++$round) {
            $floor = $this->ask('POST', $this->desk.'/roles', [
                'basedOn' => $this->ask('GET', $this->desk)->int('floor.step'),
            ]);
            if (0 === $round) {
                $floor = $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3, 'seed' => 2]);
            }
            foreach (range(0, 2) as $g) {
                $led[] = $floor->text("groups.{$g}.students.0");
            }
            // Each round in a lesson of its own, with the same grouping.
            $lesson = $this->ask('POST', "/api/staff/classes/{$this->classId}/lessons", [
                'title' => 'Again',
                'minutes' => 30,
            ])->text('id');
            $this->setRound($lesson, ['lookSeconds' => 0, 'groupingId' => $floor->text('id')])->is(200);
            $this->command($lesson, 'sendOut', leaving: $before)->is(200);
            $before = $lesson;
        }
        self::assertCount(12, array_unique($led), 'in four rounds everybody in a group of four has led once');
        $now = $this->studentNow($led[11]);
        self::assertSame(
            [1, 'captain', 'rainfall'],
            [$now->int('group.seat'), $now->text('group.role'), $now->text('group.task')],
        );
    }

    public function test_who_is_not_to_be_seated_is_never_seated_nor_counted(): void
    {
        $this->ask('PATCH', "/api/staff/students/{$this->students[0]}", ['seatable' => false])->is(204);
        $floor = $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3])->is(200);
        self::assertStringNotContainsString($this->students[0], $floor->raw);
        self::assertCount(11, $this->ask('GET', "/api/staff/lessons/{$this->lesson}")->list('students'));
        self::assertSame(11, $this->ask('GET', '/api/staff/classes')->int('0.students'));
        $this->ask('POST', $this->desk.'/edits', [
            'basedOn' => 1,
            'kind' => 'seat',
            'student' => $this->students[0],
            'group' => $floor->text('groups.0.id'),
        ])->is(422);
    }

    public function test_variants_are_laid_aside_and_taken_up_again(): void
    {
        $dealt = $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3, 'seed' => 1]);
        $kept = $this->ask('POST', $this->desk.'/variants', ['name' => 'By luck'])->is(200);
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 1, 'groups' => 4, 'seed' => 2]);
        $again = $this->ask('POST', $this->desk.'/take', [
            'basedOn' => 2,
            'what' => 'variant',
            'rounds' => [['name' => '', 'groups' => $kept->list('variants.0.groups')]],
        ])->is(200);
        self::assertSame($dealt->list('groups'), $again->list('groups'));
        $this->ask('DELETE', $this->desk.'/variants/'.$kept->text('variants.0.id'))->is(204);
        self::assertSame([], $this->ask('GET', $this->desk)->list('variants'));
    }

    public function test_groupings_are_named_copied_used_by_lessons_and_removed_only_when_no_lesson_uses_them(): void
    {
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3]);
        $copy = $this->ask('POST', $this->desk.'/copy', ['name' => 'The same, for tomorrow'])->is(200);
        self::assertCount(3, $copy->list('floor.groups'));
        self::assertNotSame(
            $this->ask('GET', $this->desk)->text('floor.groups.0.id'),
            $copy->text('floor.groups.0.id'),
            'tables of their own',
        );
        $this->setRound($this->lesson, ['groupingId' => $copy->text('id')])->is(200);
        $this->ask('DELETE', '/api/staff/groupings/'.$copy->text('id'))->is(409);
        $this->ask('DELETE', $this->desk)->is(204);
        self::assertCount(1, $this->ask('GET', "/api/staff/classes/{$this->classId}/groupings")->list(''));
        $this->ask('POST', $this->desk.'/restore')->is(204);
        self::assertCount(2, $this->ask('GET', "/api/staff/classes/{$this->classId}/groupings")->list(''));
        $this->asTeacher($this->newTeacher('other@larkmouth.example'));
        $this->ask('GET', $this->desk)->is(404);
        $this->ask('POST', $this->desk.'/propose', ['settings' => []])->is(404);
    }

    public function test_a_table_of_another_grouping_or_somebody_twice_is_not_taken(): void
    {
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3]);
        $id = $this->ask('GET', $this->desk)->text('floor.groups.0.id');
        $other = $this->ask('POST', "/api/staff/classes/{$this->classId}/groupings", ['name' => 'Other'])->text('id');
        $taken = $this->ask('POST', "/api/staff/groupings/{$other}/take", [
            'basedOn' => 0,
            'what' => 'balance',
            'rounds' => [
                ['name' => '', 'groups' => [['id' => $id, 'name' => 'Mine', 'students' => [$this->students[0]]]]],
            ],
        ])->is(200);
        self::assertNotSame($id, $taken->text('groups.0.id'));
        $twice = [
            ['id' => null, 'name' => 'A', 'students' => [$this->students[0]]],
            ['id' => null, 'name' => 'B', 'students' => [$this->students[0]]],
        ];
        $this->ask('POST', "/api/staff/groupings/{$other}/take", [
            'basedOn' => 1,
            'what' => 'balance',
            'rounds' => [['name' => '', 'groups' => $twice]],
        ])->is(422);
    }

    public function test_own_group_names_are_used(): void
    {
        $this->ask('PATCH', $this->desk, ['groupNames' => ['Quayside', 'Millbrook']])->is(200);
        $floor = $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3])->is(200);
        self::assertSame(
            ['Quayside', 'Millbrook', 'Group 3'],
            array_map(static fn (int $g): string => $floor->text("groups.{$g}.name"), range(0, 2)),
        );
    }

    public function test_the_plan_comes_as_pdf_csv_and_json(): void
    {
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3]);
        $pdf = (new Parser())->parseContent($this->ask('GET', $this->desk.'/export/pdf')->is(200)->raw);
        self::assertCount(1, $pdf->getPages());
        $printed = (string) preg_replace('/\s+/u', ' ', $pdf->getText());
        $floor = $this->ask('GET', $this->desk);
        foreach (['9G', $floor->text('name'), 'Group 1', 'Group 3', 'Student A', 'Student L'] as $word) {
            self::assertStringContainsString($word, $printed);
        }
        foreach (range(0, 2) as $g) {
            $names = array_map(
                fn (mixed $id): string => 'Student '.\chr(65 + (int) array_search($id, $this->students, true)),
                $floor->list("floor.groups.{$g}.students"),
            );
            self::assertMatchesRegularExpression(
                '/'.implode('.*', $names).'/',
                $printed,
                'in the order of their seats',
            );
        }
        self::assertSame(14, substr_count($this->ask('GET', $this->desk.'/export/csv')->is(200)->raw, "\r\n") + 1);
        $json = $this->ask('GET', $this->desk.'/export/json')->is(200);
        self::assertCount(3, $json->list('groups'));
        self::assertTrue(Schema::allows('grouping', $json->raw));
    }

    public function test_students_take_seats_and_rules_are_kept_when_the_rest_is_seated_at_the_end(): void
    {
        $this->rule('apart', 0, 1);
        $this->ask('POST', $this->desk.'/sign-up', ['seats' => 4])->is(422);
        foreach (range(0, 2) as $step) {
            $this->ask('POST', $this->desk.'/edits', ['basedOn' => $step, 'kind' => 'addTable'])->is(200);
        }
        $this->ask('POST', $this->desk.'/sign-up', ['seats' => 4, 'minutes' => 5])->is(200);
        $lesson = $this->ask('GET', "/api/staff/lessons/{$this->lesson}");
        $tokens = array_map(fn (string $id): string => $this->join($lesson, $id), \array_slice($this->students, 0, 6));
        $tables = array_map(static fn (int $g): string => $lesson->text("floor.groups.{$g}.id"), range(0, 2));
        $seat = function (int $student, int $table) use ($tokens, $tables): Json {
            $this->asStudent($tokens[$student]);

            return $this->ask('POST', '/api/student/seat', ['table' => $tables[$table]]);
        };
        $now = $seat(0, 0)->is(200);
        self::assertSame([1, true], [$now->int('signUp.tables.0.taken'), $now->at('signUp.tables.0.mine')]);
        $same = $seat(1, 0)->is(200); // they must be apart, and neither hears of it
        self::assertStringNotContainsString('apart', $same->raw);
        $seat(2, 0)->is(200);
        $seat(3, 0)->is(200);
        self::assertSame('This group is now full. Choose another.', $seat(4, 0)->is(409)->text('title'));
        $seat(2, 2)->is(200);
        $seat(4, 0)->is(200);
        $view = $this->ask('GET', '/api/student/now');
        self::assertStringNotContainsString('Student A', $view->raw, 'who sits where is nobody else’s business');
        $this->asTeacher();
        $this->ask('DELETE', $this->desk.'/sign-up')->is(200);
        $floor = $this->ask('GET', $this->desk);
        self::assertNull($floor->at('signUp'));
        $seated = array_merge(
            ...array_map(static fn (int $g): array => $floor->texts("floor.groups.{$g}.students"), range(0, 2)),
        );
        self::assertEqualsCanonicalizing($this->students, $seated);
        $first = $floor->texts('floor.groups.0.students');
        self::assertSame(
            [],
            array_diff([$this->students[0], $this->students[3], $this->students[4]], $first),
            'whoever chose a seat keeps it',
        );
        self::assertNotContains($this->students[1], $first, 'of two who must be apart, whoever sat down first stays');
        self::assertContains($this->students[2], $floor->texts('floor.groups.2.students'));
        self::assertSame(
            [4, 4, 4],
            array_map(static fn (int $g): int => \count($floor->texts("floor.groups.{$g}.students")), range(0, 2)),
            'no table has more than its seats while another has one left',
        );
        $seat(3, 1)->is(409);
    }

    public function test_nobody_takes_a_seat_once_groups_are_shown(): void
    {
        $floor = $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3]);
        $this->ask('POST', $this->desk.'/sign-up', ['seats' => 8])->is(200);
        $this->asStudent($this->join($this->ask('GET', "/api/staff/lessons/{$this->lesson}"), $this->students[0]));
        $this->ask('POST', '/api/student/seat', ['table' => $floor->text('groups.1.id')])->is(200);
        $this->asTeacher();
        $this->command($this->lesson, 'sendOut')->is(200);
        $this->asStudent($this->join($this->ask('GET', "/api/staff/lessons/{$this->lesson}"), $this->students[1]));
        self::assertSame(
            'Sign-up is closed.',
            $this->ask('POST', '/api/student/seat', ['table' => $floor->text('groups.2.id')])
                ->is(409)
                ->text('title'),
        );
        self::assertNull($this->ask('GET', '/api/student/now')->at('signUp'));
    }

    public function test_a_sign_up_closes_by_itself_at_its_time(): void
    {
        $this->ask('POST', $this->desk.'/edits', ['basedOn' => 0, 'kind' => 'addTable']);
        $this->ask('POST', $this->desk.'/edits', ['basedOn' => 1, 'kind' => 'addTable']);
        $this->ask('POST', $this->desk.'/sign-up', ['seats' => 6, 'minutes' => 1])->is(200);
        $this->db()->executeStatement("UPDATE due_task SET due_at = 0 WHERE kind = 'closeSignUp'");
        $this->work();
        $floor = $this->ask('GET', $this->desk);
        self::assertNull($floor->at('signUp'));
        self::assertSame(
            [6, 6],
            [\count($floor->list('floor.groups.0.students')), \count($floor->list('floor.groups.1.students'))],
        );
    }

    public function test_new_partners_look_at_what_was_really_sent_out(): void
    {
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 4, 'seed' => 3]);
        $this->setRound($this->lesson, ['lookSeconds' => 0]);
        $this->command($this->lesson, 'sendOut')->is(200);
        $before = $this->ask('GET', $this->desk);
        self::assertSame('Where does the wall go?', $before->text('uses.0.lesson'));
        $other = $this->ask('POST', "/api/staff/classes/{$this->classId}/groupings", ['name' => 'Tomorrow'])->text(
            'id',
        );
        $proposal = $this->ask('POST', "/api/staff/groupings/{$other}/propose", [
            'settings' => ['method' => 'balance', 'groups' => 4, 'goals' => [['kind' => 'newPartners']]],
            'forMs' => 400,
        ])->is(200);
        self::assertEqualsWithDelta(0.0, $proposal->at('cost'), 1e-6);
        self::assertTrue($proposal->at('proven'));
    }

    private function rule(string $kind, int ...$students): Json
    {
        return $this->ask('POST', "/api/staff/classes/{$this->classId}/rules", [
            'kind' => $kind,
            'students' => array_map(fn (int $i): string => $this->students[$i], array_values($students)),
        ])->is(200);
    }

    /**
     * @param array<string, mixed> $settings
     * @param array<string, mixed> $more
     */
    private function propose(array $settings, array $more = []): Json
    {
        return $this->ask('POST', $this->desk.'/propose', ['settings' => $settings, 'seed' => 1, ...$more]);
    }

    private function take(Json $proposal, int $basedOn, string $what): Json
    {
        return $this->ask('POST', $this->desk.'/take', [
            'basedOn' => $basedOn,
            'what' => $what,
            'rounds' => $proposal->list('rounds'),
        ]);
    }

    private function studentNow(string $student): Json
    {
        $lessonId = $this->ask('GET', '/api/staff/lessons')->text('0.id');
        $this->asStudent($this->join($this->ask('GET', "/api/staff/lessons/{$lessonId}"), $student));

        return $this->ask('GET', '/api/student/now');
    }

    /**
     * @return array<string, int> student => group
     */
    private static function groupOf(Json $proposal, int $round): array
    {
        $groupOf = [];
        foreach (array_keys($proposal->list("rounds.{$round}.groups")) as $g) {
            foreach ($proposal->texts("rounds.{$round}.groups.{$g}.students") as $id) {
                $groupOf[$id] = $g;
            }
        }

        return $groupOf;
    }

    public function test_names_for_groups_reach_the_tables_that_have_none_of_their_own(): void
    {
        $this->ask('POST', $this->desk.'/deal', ['basedOn' => 0, 'groups' => 3])->is(200);
        $floor = $this->ask('GET', $this->desk);
        $this->ask('POST', $this->desk.'/edits', [
            'basedOn' => $floor->int('floor.step'),
            'kind' => 'rename',
            'group' => $floor->text('floor.groups.1.id'),
            'name' => 'Window',
        ])->is(200);
        $names = fn (): array => array_map(
            fn (int $i): string => $this->ask('GET', $this->desk)->text("floor.groups.{$i}.name"),
            range(0, 2),
        );
        $this->ask('PATCH', $this->desk, ['groupNames' => ['Quayside', 'Millbrook', 'Saltmarsh']])->is(200);
        self::assertSame(['Quayside', 'Window', 'Millbrook'], $names());
        $this->ask('PATCH', $this->desk, ['groupNames' => ['Otter', 'Heron']])->is(200);
        self::assertSame(['Otter', 'Window', 'Heron'], $names());
        $this->ask('POST', $this->desk.'/undo', [
            'basedOn' => $this->ask('GET', $this->desk)->int('floor.step'),
        ])->is(200);
        self::assertSame(['Quayside', 'Window', 'Millbrook'], $names(), 'it is a step like any other');
    }

    public function test_fewer_groups_than_were_asked_for_are_said(): void
    {
        $asked = $this->ask('POST', $this->desk.'/propose', [
            'settings' => ['method' => 'deal', 'shape' => 'groups', 'groups' => 99],
        ])->is(200);
        self::assertSame(['6 groups instead of 99, so that nobody is in a group alone.'], $asked->list('notes'));
        self::assertSame(
            [],
            $this->ask('POST', $this->desk.'/propose', [
                'settings' => ['method' => 'deal', 'shape' => 'groups', 'groups' => 6],
            ])->list('notes'),
        );
    }

    public function test_a_new_desk_is_set_to_about_four_at_a_table(): void
    {
        self::assertSame(3, $this->ask('GET', $this->desk)->int('settings.groups'));
        $large = $this->newLesson(120, '10A');
        self::assertSame(
            30,
            $this->ask('GET', '/api/staff/groupings/'.$large->text('floor.id'))->int('settings.groups'),
        );
    }

    public function test_a_must_that_contradicts_others_is_flagged_when_it_is_made(): void
    {
        $rules = "/api/staff/classes/{$this->classId}/rules";
        $make = fn (string $kind, int ...$who): string => $this->ask('POST', $rules, [
            'kind' => $kind,
            'students' => array_map(fn (int $i): string => $this->students[$i], $who),
        ])
            ->is(200)
            ->text('warning');
        self::assertSame('', $make('together', 0, 1));
        self::assertSame('', $make('together', 1, 2));
        self::assertSame(
            'Student A and Student C would have to be both together and apart. Remove one of the two rules.',
            $make('apart', 0, 2),
        );
        self::assertSame('', $make('apart', 3, 4), 'what was there before is not said again');
    }

    public function test_the_quick_way_takes_no_goals_away_that_were_set_at_the_desk(): void
    {
        $lesson = $this->newLesson(6, '9Q');
        $desk = '/api/staff/groupings/'.$lesson->text('floor.id');
        $goals = [['kind' => 'newPartners'], ['kind' => 'spread', 'attribute' => 'level']];
        $this->ask('PATCH', $desk, [
            'settings' => ['method' => 'balance', 'shape' => 'groups', 'groups' => 2, 'goals' => $goals],
        ])->is(200);
        $this->ask('POST', "{$desk}/deal", ['basedOn' => 0, 'groups' => 3, 'seed' => 1])->is(200);
        self::assertCount(2, $this->ask('GET', $desk)->is(200)->list('settings.goals'));
    }
}
