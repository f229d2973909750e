<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Together;

use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/**
 * What is promised when two press at the same moment: asked of a running instance, over as many connections as there
 * are requests.
 */
final class AtOnceTest extends TestCase
{
    private const PRESSES = 6;

    private HttpClientInterface $http;
    private string $teacher;

    protected function setUp(): void
    {
        $this->http = HttpClient::create(['base_uri' => self::setting('PUBLIC_URL'), 'timeout' => 20], 16);
        $signedIn = $this->http->request('POST', '/api/staff/sign-in', [
            'json' => ['email' => 'teacher@larkmouth.example', 'password' => 'harbour-lights'],
        ]);
        $this->teacher = self::cookie($signedIn);
    }

    public function test_the_last_seat_goes_to_one_and_the_others_are_told(): void
    {
        [$lesson, $students] = $this->lesson(7, 1);
        $grouping = $lesson->text('floor.id');
        $this->ask('POST', "/api/staff/groupings/{$grouping}/edits", ['kind' => 'addTable', 'basedOn' => 1])->is(200);
        foreach ($students as $student) {
            $this->ask('POST', "/api/staff/groupings/{$grouping}/edits", [
                'kind' => 'shelve',
                'student' => $student,
                'basedOn' => $this->desk($grouping)->int('floor.step'),
            ])->is(200);
        }
        $tables = $this->desk($grouping);
        $this->ask('POST', "/api/staff/groupings/{$grouping}/sign-up", ['seats' => 4, 'minutes' => 10])->is(200);
        $table = $tables->text('floor.groups.0.id');
        $statuses = $this->atOnce(
            array_map(
                static fn (string $cookie): array => ['POST', '/api/student/seat', ['table' => $table], $cookie],
                $this->comeIn($lesson),
            ),
        );
        self::assertSame(4, self::many($statuses, 200), 'four seats, seven who want one');
        self::assertSame(3, self::many($statuses, 409));
        self::assertCount(4, $this->desk($grouping)->list('floor.groups.0.students'));
    }

    public function test_a_name_is_had_by_one_device(): void
    {
        [$lesson] = $this->lesson(4, 2);
        $name = $lesson->text('students.0.name');
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, [
                'POST',
                '/api/student/join',
                ['doorWord' => $lesson->text('doorWord'), 'name' => $name],
                '',
            ]),
        );
        self::assertSame(1, self::many($statuses, 200));
        self::assertSame(self::PRESSES - 1, self::many($statuses, 409));
    }

    public function test_a_class_is_sent_out_once_however_often_it_is_pressed(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $path = '/api/staff/lessons/'.$lesson->text('id').'/commands';
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, ['POST', $path, ['kind' => 'sendOut'], $this->teacher]),
        );
        self::assertSame(self::PRESSES, self::many($statuses, 200), 'a press that changes nothing is no mistake');
        $after = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        $events = array_filter(
            $this->rows('SELECT kind FROM live_event WHERE lesson_id = ?', $lesson->text('id')),
            static fn (array $row): bool => str_contains((string) json_encode($row), 'sentOut'),
        );
        self::assertCount(1, $events);
        self::assertCount(
            1,
            $this->rows(
                'SELECT r.id FROM run r JOIN round o ON o.id = r.round_id WHERE o.id = ?',
                $after->text('round.id'),
            ),
        );
    }

    public function test_a_press_that_is_sent_again_under_its_key_is_done_once(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $path = '/api/staff/lessons/'.$lesson->text('id').'/commands';
        $this->ask('POST', $path, ['kind' => 'sendOut'])->is(200);
        $key = Uuid::v4()->toRfc4122();
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, [
                'POST',
                $path,
                ['kind' => 'say', 'text' => 'Five minutes left.'],
                $this->teacher,
                $key,
            ]),
        );
        self::assertSame(self::PRESSES, self::many($statuses, 200));
        self::assertCount(
            1,
            $this->rows(
                "SELECT seq FROM live_event WHERE lesson_id = ? AND data::text LIKE '%Five minutes left%'",
                $lesson->text('id'),
            ),
        );
    }

    public function test_of_two_windows_that_change_the_same_one_is_told_that_it_was_changed(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $grouping = $lesson->text('floor.id');
        $original = $lesson->text('handOut.0.original');
        $step = $this->desk($grouping)->int('floor.step');
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, [
                'POST',
                "/api/staff/groupings/{$grouping}/edits",
                ['kind' => 'addTable', 'basedOn' => $step],
                $this->teacher,
            ]),
        );
        self::assertSame(
            [1, self::PRESSES - 1],
            [self::many($statuses, 200), self::many($statuses, 409)],
            'the floor',
        );
        self::assertCount(3, $this->desk($grouping)->list('floor.groups'));

        $text = static fn (int $i): array => [
            'title' => 'Sheet',
            'basedOn' => 1,
            'pages' => [
                [
                    'id' => 'p',
                    'title' => '',
                    'blocks' => [['id' => 'each', 'kind' => 'each', 'text' => "Wording {$i}"]],
                ],
            ],
        ];
        $statuses = $this->atOnce(
            array_map(
                fn (int $i): array => ['PUT', "/api/staff/originals/{$original}", $text($i), $this->teacher],
                range(1, self::PRESSES),
            ),
        );
        self::assertSame(
            [1, self::PRESSES - 1],
            [self::many($statuses, 200), self::many($statuses, 409)],
            'the original',
        );

        $order = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        $segments = array_map(
            static fn (int $i): array => [
                'id' => $order->text("order.segments.{$i}.id"),
                'kind' => $order->text("order.segments.{$i}.kind"),
                'minutes' => $order->int("order.segments.{$i}.minutes"),
            ],
            array_keys($order->list('order.segments')),
        );
        $change = static fn (int $i): array => [
            'basedOn' => $order->int('order.step'),
            'segments' => [...$segments, ['kind' => 'pause', 'minutes' => $i]],
        ];
        $statuses = $this->atOnce(
            array_map(
                fn (int $i): array => [
                    'PUT',
                    '/api/staff/lessons/'.$order->text('id').'/running-order',
                    $change($i),
                    $this->teacher,
                ],
                range(1, self::PRESSES),
            ),
        );
        self::assertSame(
            [1, self::PRESSES - 1],
            [self::many($statuses, 200), self::many($statuses, 409)],
            'the running order',
        );
    }

    public function test_a_group_has_one_room_and_one_copy_however_often_they_are_asked_for(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $round = $lesson->text('round.id');
        $grouping = $lesson->text('floor.id');
        $this->atOnce([
            ...array_fill(0, 3, ['POST', "/api/staff/rounds/{$round}/rooms", [], $this->teacher]),
            ...array_fill(0, 3, ['POST', "/api/staff/rounds/{$round}/copies", [], $this->teacher]),
        ]);
        self::assertCount(2, $this->rows('SELECT id FROM room WHERE grouping_id = ?', $grouping));
        self::assertCount(2, $this->rows('SELECT id FROM work_copy WHERE round_id = ?', $round));
    }

    public function test_a_set_up_list_is_carried_out_once_however_many_press(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $round = $lesson->text('round.id');
        $path = "/api/staff/rounds/{$round}/set-up";
        $this->ask('PUT', "/api/staff/rounds/{$round}/sending", ['posts' => true])->is(200);
        $digest = $this->ask('GET', $path)->text('digest');
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, ['POST', $path, ['digest' => $digest], $this->teacher]),
        );
        self::assertSame(
            self::PRESSES,
            self::many($statuses, 204) + self::many($statuses, 409),
            'done, or another list by then',
        );
        $until = microtime(true) + 20;
        while (microtime(true) < $until && [] !== $this->ask('GET', $path)->list('steps')) {
            usleep(100_000);
        }
        self::assertSame([], $this->ask('GET', $path)->list('steps'));
        self::assertCount(2, $this->rows('SELECT id FROM room WHERE grouping_id = ?', $lesson->text('floor.id')));
        self::assertCount(
            2,
            $this->rows("SELECT id FROM sent WHERE round_id = ? AND kind = 'post' AND their_id IS NOT NULL", $round),
        );
        self::assertLessThanOrEqual(
            1,
            \count($this->rows('SELECT id FROM set_up WHERE lesson_id = ? AND done_at IS NULL', $lesson->text('id'))),
        );
    }

    public function test_a_class_has_a_name_once_and_a_rule_once(): void
    {
        [$lesson, $students] = $this->lesson(4, 2);
        $class = $lesson->text('classId');
        $this->atOnce(
            array_fill(0, self::PRESSES, [
                'POST',
                "/api/staff/classes/{$class}/import",
                ['text' => "Name\nZora Quill"],
                $this->teacher,
            ]),
        );
        self::assertCount(
            1,
            $this->rows("SELECT id FROM student WHERE class_id = ? AND name = 'Zora Quill'", $class),
        );
        $this->atOnce(
            array_fill(0, self::PRESSES, [
                'POST',
                "/api/staff/classes/{$class}/rules",
                ['kind' => 'apart', 'students' => \array_slice($students, 0, 2)],
                $this->teacher,
            ]),
        );
        self::assertCount(1, $this->rows('SELECT id FROM class_rule WHERE class_id = ?', $class));
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, [
                'POST',
                "/api/staff/classes/{$class}/rules",
                ['kind' => 'wish', 'students' => \array_slice($students, 0, 2)],
                $this->teacher,
            ]),
        );
        self::assertSame([1, self::PRESSES - 1], [self::many($statuses, 200), self::many($statuses, 422)], 'a wish');
        self::assertCount(1, $this->rows('SELECT wished_for_id FROM wish WHERE student_id = ?', $students[0]));
    }

    public function test_classes_made_at_once_have_each_a_door_word_of_their_own(): void
    {
        $mark = substr(Uuid::v4()->toRfc4122(), 0, 8);
        $statuses = $this->atOnce(
            array_map(
                fn (int $i): array => [
                    'POST',
                    '/api/staff/classes',
                    ['name' => "Door {$i} {$mark}", 'names' => ''],
                    $this->teacher,
                ],
                range(1, self::PRESSES),
            ),
        );
        self::assertSame(self::PRESSES, self::many($statuses, 200));
        self::assertCount(
            self::PRESSES,
            array_unique(
                self::texts(
                    $this->rows('SELECT door_word FROM school_class WHERE name LIKE ?', "Door % {$mark}"),
                    'door_word',
                ),
            ),
        );
    }

    public function test_the_same_picture_put_in_at_once_is_kept_once(): void
    {
        $picture = Files::picture('png', 50 + random_int(1, 400), 50 + random_int(1, 400));
        $statuses = $this->atOnce(
            array_fill(0, 2, ['POST', '/api/staff/media', ['content' => base64_encode($picture)], $this->teacher]),
        );
        self::assertSame(2, self::many($statuses, 200));
        $kept = $this->ask('POST', '/api/staff/media', ['content' => base64_encode($picture)])->is(200);
        self::assertCount(
            1,
            $this->rows(
                'SELECT o.id FROM media m JOIN media o ON o.digest = m.digest WHERE m.id = ?',
                $kept->text('id'),
            ),
        );
    }

    public function test_a_grouping_has_one_open_sign_up_and_its_end_is_due_once(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $grouping = $lesson->text('floor.id');
        $statuses = $this->atOnce(
            array_map(
                fn (int $seats): array => [
                    'POST',
                    "/api/staff/groupings/{$grouping}/sign-up",
                    ['seats' => $seats, 'minutes' => 10],
                    $this->teacher,
                ],
                range(3, 2 + self::PRESSES),
            ),
        );
        self::assertSame(self::PRESSES, self::many($statuses, 200));
        self::assertCount(1, $this->rows('SELECT id FROM sign_up WHERE grouping_id = ?', $grouping));
        self::assertCount(1, $this->rows('SELECT id FROM due_task WHERE subject = ?', $grouping));
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, [
                'DELETE',
                "/api/staff/groupings/{$grouping}/sign-up",
                null,
                $this->teacher,
            ]),
        );
        self::assertGreaterThanOrEqual(1, self::many($statuses, 200), 'it is closed');
        self::assertCount(
            0,
            $this->rows('SELECT id FROM sign_up WHERE ended_at IS NULL AND grouping_id = ?', $grouping),
        );
        self::assertCount(0, $this->rows('SELECT id FROM due_task WHERE subject = ?', $grouping));
    }

    public function test_what_the_numbers_carry_is_what_one_of_two_has_said_and_no_mixture(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $grouping = $lesson->text('floor.id');
        $carry = static fn (int $i): array => [
            'numbers' => [
                'roles' => array_map(static fn (int $n): array => ['number' => $n, 'role' => "role {$i}"], [1, 2, 3]),
                'tasks' => [['numbers' => [1, 2], 'task' => "task {$i}"]],
            ],
        ];
        $statuses = $this->atOnce(
            array_map(
                fn (int $i): array => ['PATCH', "/api/staff/groupings/{$grouping}", $carry($i), $this->teacher],
                range(1, self::PRESSES),
            ),
        );
        self::assertSame(self::PRESSES, self::many($statuses, 200) + self::many($statuses, 204));
        $roles = self::texts($this->rows('SELECT role FROM seat_role WHERE grouping_id = ?', $grouping), 'role');
        self::assertCount(3, $roles);
        self::assertCount(1, array_unique($roles));
        self::assertSame(
            [str_replace('role', 'task', $roles[0])],
            self::texts($this->rows('SELECT task FROM seat_task WHERE grouping_id = ?', $grouping), 'task'),
        );
    }

    public function test_a_device_speaks_for_one_student(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $door = $lesson->text('doorWord');
        $cookie = self::cookie(
            $this->send(
                'POST',
                '/api/student/join',
                ['doorWord' => $door, 'name' => $lesson->text('students.0.name')],
                '',
            ),
        );
        $this->atOnce(
            array_map(
                static fn (int $i): array => [
                    'POST',
                    '/api/student/join',
                    ['doorWord' => $door, 'name' => $lesson->text("students.{$i}.name")],
                    $cookie,
                ],
                range(1, 5),
            ),
        );
        $devices = $this->rows(
            'SELECT student_id, token_hash FROM student_device WHERE student_id IS NOT NULL AND class_id = ?',
            $lesson->text('classId'),
        );
        foreach (['student_id', 'token_hash'] as $once) {
            self::assertCount(\count($devices), array_count_values(self::texts($devices, $once)), $once);
        }
        self::assertContains(
            $this->send('GET', '/api/student/now', null, $cookie)->getStatusCode(),
            [200, 401],
            'the first device is somebody still, or is told that it is not',
        );
    }

    public function test_a_save_that_is_sent_again_is_done_once(): void
    {
        [$lesson] = $this->lesson(2, 1);
        $this->ask('POST', '/api/staff/rounds/'.$lesson->text('round.id').'/copies')->is(200);
        $this->ask('POST', '/api/staff/lessons/'.$lesson->text('id').'/commands', ['kind' => 'sendOut'])->is(200);
        $student = $this->comeIn($lesson)[0];
        $copy = $this->as($student, 'GET', '/api/student/now')->text('group.copies.0.id');
        $save = Uuid::v4()->toRfc4122();
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, [
                'PUT',
                "/api/student/copies/{$copy}/slots/together",
                ['save' => $save, 'base' => '', 'text' => 'said once'],
                $student,
            ]),
        );
        self::assertSame(self::PRESSES, self::many($statuses, 200));
        self::assertSame(
            [['text' => 'said once']],
            $this->rows("SELECT text FROM slot_answer WHERE slot = 'together' AND copy_id = ?", $copy),
        );
        self::assertCount(1, $this->rows('SELECT id FROM slot_save WHERE id = ?', $save));
    }

    public function test_an_original_stands_in_a_plan_once_and_every_group_has_one_cell(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $round = $lesson->text('round.id');
        $original = $lesson->text('handOut.0.original');
        $groups = array_map(static fn (int $i): string => $lesson->text("floor.groups.{$i}.id"), [0, 1]);
        $plan = static fn (int $i): array => [
            'knew' => [$original],
            'rows' => [
                [
                    'original' => $original,
                    'way' => 'together',
                    'variant' => '',
                    'cells' => array_map(
                        static fn (string $group): array => [
                            'group' => $group,
                            'way' => 0 === $i % 2 ? 'each' : 'nothing',
                            'variant' => '',
                        ],
                        $groups,
                    ),
                ],
            ],
        ];
        $statuses = $this->atOnce(
            array_map(
                fn (int $i): array => ['PUT', "/api/staff/rounds/{$round}/hand-out", $plan($i), $this->teacher],
                range(1, self::PRESSES),
            ),
        );
        self::assertSame(
            self::PRESSES,
            self::many($statuses, 200) + self::many($statuses, 204),
            implode(', ', $statuses),
        );
        self::assertCount(1, $this->rows('SELECT id FROM hand_out WHERE group_id IS NULL AND round_id = ?', $round));
        $cells = self::texts(
            $this->rows('SELECT way FROM hand_out WHERE group_id IS NOT NULL AND round_id = ?', $round),
            'way',
        );
        self::assertCount(2, $cells);
        self::assertCount(1, array_unique($cells), 'what one of them has said, whole');
    }

    public function test_what_happens_in_a_lesson_has_one_order(): void
    {
        [$lesson] = $this->lesson(6, 2);
        $path = '/api/staff/lessons/'.$lesson->text('id').'/commands';
        $this->ask('POST', $path, ['kind' => 'sendOut'])->is(200);
        $statuses = $this->atOnce(
            array_map(
                fn (int $i): array => ['POST', $path, ['kind' => 'say', 'text' => "Notice {$i}"], $this->teacher],
                range(1, self::PRESSES),
            ),
        );
        self::assertSame(self::PRESSES, self::many($statuses, 200));
        $numbers = array_column(
            $this->rows('SELECT seq FROM live_event WHERE lesson_id = ? ORDER BY seq', $lesson->text('id')),
            'seq',
        );
        self::assertSame(range(1, \count($numbers)), $numbers, 'no number twice and none left out');
        self::assertCount(
            self::PRESSES,
            $this->rows(
                "SELECT seq FROM live_event WHERE data::text LIKE '%Notice %' AND lesson_id = ?",
                $lesson->text('id'),
            ),
        );
    }

    public function test_a_student_is_in_one_place_and_has_one_link_into_a_room(): void
    {
        [$lesson, $ids] = $this->lesson(4, 2);
        $student = $this->comeIn($lesson)[0];
        $this->atOnce([
            ...array_fill(0, 3, [
                'POST',
                '/api/staff/rounds/'.$lesson->text('round.id').'/rooms',
                [],
                $this->teacher,
            ]),
            ...array_fill(0, self::PRESSES, ['POST', '/api/student/sign', [], $student]),
        ]);
        self::assertCount(1, $this->rows('SELECT page_at FROM presence WHERE student_id = ?', $ids[0]));
        $links = [];
        for ($look = 0; $look < 100; ++$look) {
            $links = $this->rows(
                'SELECT m.student_id, r.id FROM room_member m JOIN room r ON r.id = m.room_id
                    WHERE r.group_id IS NOT NULL AND r.class_id = ?',
                $lesson->text('classId'),
            );
            if (\count($links) >= 4) {
                break;
            }
            usleep(100_000);
        }
        $of = self::texts($links, 'student_id');
        sort($of);
        sort($ids);
        self::assertSame($ids, $of);
    }

    public function test_a_forgotten_password_is_set_once_by_its_link(): void
    {
        $address = $this->newTeacher();
        self::assertLessThan(
            300,
            $this->send('POST', '/api/account/forgotten', ['email' => $address], '')->getStatusCode(),
        );
        $path = '/api/account/password';
        $token = $this->tokenSentTo($address, 'password');
        $statuses = $this->atOnce(
            array_map(
                static fn (int $i): array => [
                    'POST',
                    $path,
                    ['token' => $token, 'password' => "a long enough word {$i}"],
                    '',
                ],
                range(1, self::PRESSES),
            ),
        );
        self::assertCount(
            1,
            array_filter($statuses, static fn (int $status): bool => $status < 300),
            implode(', ', $statuses),
        );
    }

    public function test_every_word_of_six_who_write_in_one_place_is_in_the_copy(): void
    {
        [$lesson] = $this->lesson(6, 1);
        $round = $lesson->text('round.id');
        $this->ask('POST', "/api/staff/rounds/{$round}/copies")->is(200);
        $this->ask('POST', '/api/staff/lessons/'.$lesson->text('id').'/commands', ['kind' => 'sendOut'])->is(200);
        $students = $this->comeIn($lesson);
        $copy = $this->as($students[0], 'GET', '/api/student/now')->text('group.copies.0.id');
        for ($turn = 1; $turn <= 3; ++$turn) {
            $base = $this->as($students[0], 'GET', "/api/student/copies/{$copy}");
            $text = '';
            foreach (array_keys($base->list('answers')) as $i) {
                $text = 'together' === $base->text("answers.{$i}.slot") ? $base->text("answers.{$i}.text") : $text;
            }
            $statuses = $this->atOnce(
                array_map(
                    static fn (string $cookie, int $i): array => [
                        'PUT',
                        "/api/student/copies/{$copy}/slots/together",
                        ['save' => Uuid::v4()->toRfc4122(), 'base' => $text, 'text' => "{$text}\nword{$turn}by{$i}"],
                        $cookie,
                    ],
                    $students,
                    array_keys($students),
                ),
            );
            self::assertSame(6, self::many($statuses, 200));
        }
        $held = (string) json_encode($this->rows('SELECT text FROM slot_answer WHERE copy_id = ?', $copy));
        for ($turn = 1; $turn <= 3; ++$turn) {
            for ($i = 0; $i < 6; ++$i) {
                self::assertStringContainsString("word{$turn}by{$i}", $held);
            }
        }
    }

    public function test_a_grouping_that_a_lesson_takes_up_is_not_taken_away_under_it(): void
    {
        for ($try = 0; $try < 4; ++$try) {
            [$lesson] = $this->lesson(4, 2);
            $class = $lesson->text('classId');
            $other = $this->ask('POST', "/api/staff/classes/{$class}/groupings", ['name' => 'Other'])->text('id');
            $segment = $lesson->text('round.segmentId');
            [$taken, $removed] = $this->atOnce([
                ['PATCH', "/api/staff/segments/{$segment}", ['groupingId' => $other], $this->teacher],
                ['DELETE', "/api/staff/groupings/{$other}", null, $this->teacher],
            ]);
            self::assertNotSame(
                $taken < 300,
                $removed < 300,
                "exactly one of the two is done ({$taken}, {$removed})",
            );
        }
    }

    public function test_an_invitation_makes_one_account_and_one_helper_however_often_it_is_accepted(): void
    {
        [$address, $class] = $this->invited();
        $path = '/api/account/invitations/'.$this->tokenSentTo($address, 'invitation');
        $statuses = $this->atOnce(
            array_fill(0, self::PRESSES, [
                'POST',
                $path,
                ['name' => 'Abel Tarrant', 'password' => 'a long enough word'],
                '',
            ]),
        );
        self::assertCount(
            1,
            array_filter($statuses, static fn (int $status): bool => $status < 300),
            implode(', ', $statuses),
        );
        self::assertCount(1, $this->rows('SELECT id FROM teacher WHERE email = ?', $address));
        self::assertCount(1, $this->rows('SELECT teacher_id FROM class_staff WHERE class_id = ?', $class));
    }

    /**
     * @return array{string, string} the address of one invited to help, and the class
     */
    private function invited(): array
    {
        [$lesson] = $this->lesson(4, 2);
        $class = $lesson->text('classId');
        $address = 'helper-'.substr(Uuid::v4()->toRfc4122(), 0, 8).'@larkmouth.example';
        $this->ask('POST', "/api/staff/classes/{$class}/staff", ['email' => $address])->is(200);

        return [$address, $class];
    }

    /**
     * @return string the address of a teacher who has an account
     */
    private function newTeacher(): string
    {
        [$address] = $this->invited();
        $accepted = $this->send(
            'POST',
            '/api/account/invitations/'.$this->tokenSentTo($address, 'invitation'),
            ['name' => 'Abel Tarrant', 'password' => 'a long enough word'],
            '',
        );
        self::assertLessThan(300, $accepted->getStatusCode());

        return $address;
    }

    private function tokenSentTo(string $address, string $page): string
    {
        for ($look = 0; $look < 100; ++$look) {
            foreach ((array) glob(self::folder().'/mail/*') as $file) {
                $mail = quoted_printable_decode((string) file_get_contents((string) $file));
                if (
                    str_contains($mail, $address)
                    && 1 === preg_match("~/{$page}/([A-Za-z0-9_.-]+)~", $mail, $found)
                ) {
                    return $found[1];
                }
            }
            usleep(100_000);
        }
        self::fail('The mail did not come.');
    }

    /**
     * Sends all before it reads the first answer.
     *
     * Of each: method, path, body, cookie, key.
     *
     * @param list<array{0: string, 1: string, 2: array<string, mixed>|null, 3: string, 4?: string}> $requests
     *
     * @return list<int> statuses, in order
     */
    private function atOnce(array $requests): array
    {
        $answers = array_map(
            fn (array $request): ResponseInterface => $this->send(
                $request[0],
                $request[1],
                $request[2],
                $request[3],
                $request[4] ?? null,
            ),
            $requests,
        );
        $statuses = array_map(static fn (ResponseInterface $answer): int => $answer->getStatusCode(), $answers);
        self::assertLessThan(500, max([0, ...$statuses]), implode(', ', $statuses));

        return $statuses;
    }

    /**
     * @param array<string, mixed>|null $body
     */
    private function send(
        string $method,
        string $path,
        ?array $body,
        string $cookie,
        ?string $key = null,
    ): ResponseInterface {
        return $this->http->request($method, $path, [
            'headers' => [
                'Cookie' => $cookie,
                'Idempotency-Key' => $key ?? Uuid::v4()->toRfc4122(),
                'Content-Type' => 'application/json',
            ],
            'body' => null === $body ? '' : json_encode((object) $body, \JSON_THROW_ON_ERROR),
        ]);
    }

    /**
     * @param array<string, mixed>|null $body
     */
    private function as(string $cookie, string $method, string $path, ?array $body = null): Json
    {
        $answer = $this->send($method, $path, $body, $cookie);

        return new Json(new Response($answer->getContent(false), $answer->getStatusCode()));
    }

    /**
     * @param array<string, mixed>|null $body
     */
    private function ask(string $method, string $path, ?array $body = null): Json
    {
        return $this->as($this->teacher, $method, $path, $body ?? ('GET' === $method ? null : []));
    }

    private function desk(string $grouping): Json
    {
        return $this->ask('GET', "/api/staff/groupings/{$grouping}");
    }

    /**
     * @return array{Json, list<string>} a lesson whose class sits in groups, with an original; and the ids of its
     *     students
     */
    private function lesson(int $students, int $groups): array
    {
        $names = implode("\n", array_map(static fn (int $i): string => 'Pupil '.\chr(64 + $i), range(1, $students)));
        $class = $this->ask('POST', '/api/staff/classes', [
            'name' => 'At once '.substr(Uuid::v4()->toRfc4122(), 0, 8),
            'names' => $names,
        ])->text('id');
        $this->ask('PUT', "/api/staff/classes/{$class}/room-source", ['kind' => 'meetingService'])->is(200);
        $lesson = $this->ask('POST', "/api/staff/classes/{$class}/lessons", ['title' => 'At once', 'minutes' => 50]);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => $groups,
            'seed' => 1,
        ])->is(200);
        $this->ask('POST', '/api/staff/rounds/'.$lesson->text('round.id').'/originals', [
            'title' => 'Sheet',
            'basedOn' => 0,
            'pages' => [
                [
                    'id' => 'p',
                    'title' => '',
                    'blocks' => [
                        ['id' => 'each', 'kind' => 'each', 'text' => 'What do you notice?'],
                        ['id' => 'together', 'kind' => 'together', 'text' => 'Our decision'],
                    ],
                ],
            ],
        ])->is(200);
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));

        return [
            $lesson,
            array_map(
                static fn (int $i): string => $lesson->text("students.{$i}.id"),
                array_keys($lesson->list('students')),
            ),
        ];
    }

    /**
     * @return list<string> a cookie a student
     */
    private function comeIn(Json $lesson): array
    {
        return array_map(
            fn (int $i): string => self::cookie(
                $this->send(
                    'POST',
                    '/api/student/join',
                    ['doorWord' => $lesson->text('doorWord'), 'name' => $lesson->text("students.{$i}.name")],
                    '',
                ),
            ),
            array_keys($lesson->list('students')),
        );
    }

    private static function cookie(ResponseInterface $answer): string
    {
        self::assertSame(200, $answer->getStatusCode(), $answer->getContent(false));

        return implode(
            '; ',
            array_map(
                static fn (string $one): string => explode(';', $one)[0],
                $answer->getHeaders()['set-cookie'] ?? [],
            ),
        );
    }

    /**
     * @param list<int> $statuses
     */
    private static function many(array $statuses, int $status): int
    {
        return \count(array_keys($statuses, $status, true));
    }

    /**
     * @return list<array<string, mixed>> what the instance's own database holds
     */
    private function rows(string $sql, string $value): array
    {
        $parts = parse_url(self::setting('DATABASE_URL'));
        self::assertIsArray($parts);
        $db = new \PDO(
            \sprintf(
                'pgsql:host=%s;port=%d;dbname=%s',
                $parts['host'] ?? '',
                $parts['port'] ?? 0,
                trim($parts['path'] ?? '', '/'),
            ),
            $parts['user'] ?? '',
            urldecode($parts['pass'] ?? ''),
        );
        $query = $db->prepare($sql);
        $query->execute([$value]);
        /** @var list<array<string, mixed>> $rows */
        $rows = $query->fetchAll(\PDO::FETCH_ASSOC);

        return $rows;
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<string> what stands in a column
     */
    private static function texts(array $rows, string $column): array
    {
        return array_map(
            static fn (array $row): string => \is_string($row[$column])
                ? $row[$column]
                : self::fail("no text in {$column}"),
            $rows,
        );
    }

    private static function setting(string $name): string
    {
        $settings = require self::folder().'/settings.php';
        \assert(\is_array($settings) && \is_string($settings[$name] ?? null));

        return $settings[$name];
    }

    private static function folder(): string
    {
        $folder = getenv('FH_VAR');

        return \is_string($folder) ? $folder : \dirname(__DIR__, 3).'/var/run';
    }
}
