<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Roster;

use FreshHuddle\App\Roster\Device\StudentDeviceStore;
use FreshHuddle\App\Roster\Door\Doorway\LooksLike;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * How students come in, and who cannot.
 */
final class DoorTest extends AppTestCase
{
    private Json $lesson;
    private string $classId;
    private string $doorWord;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->newLesson(6);
        $this->classId = $this->lesson->text('classId');
        $this->doorWord = $this->lesson->text('doorWord');
    }

    public function test_names_are_typed_and_no_name_stands_at_the_door(): void
    {
        $this->asNobody();
        $door = $this->door()->is(200);
        self::assertNull($door->at('names'));
        self::assertStringNotContainsString('Student', $door->raw);
        $this->knock('student b')->is(200);
        self::assertSame('Student B', $this->ask('GET', '/api/student/now')->is(200)->text('name'));
    }

    public function test_the_list_stands_at_the_door_only_where_the_teacher_chose_so_and_while_a_lesson_is_on(): void
    {
        $this->ask('PATCH', "/api/staff/classes/{$this->classId}/door", ['names' => true])->is(200);
        $this->db()->executeStatement('UPDATE lesson SET watched_at = NULL');
        $this->asNobody();
        self::assertNull($this->door()->at('names'), 'no lesson is on');
        $this->asTeacher();
        $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
        $this->asNobody();
        self::assertCount(6, $this->door()->list('names'));
        $this->ask('POST', '/api/student/join', ['doorWord' => $this->doorWord, 'student' => $this->id(2)])->is(200);
        $this->db()->executeStatement("UPDATE lesson SET watched_at = now() - interval '31 minutes'");
        self::assertNull($this->door()->at('names'), 'the lesson is over');
        $this->asNobody();
        $this->ask('POST', '/api/student/join', ['doorWord' => $this->doorWord, 'student' => $this->id(3)])->is(422);
    }

    public function test_where_it_may_be_several_the_whole_name_is_asked_for_and_none_is_shown(): void
    {
        $this->asNobody();
        $answer = $this->knock('Student')->is(422);
        self::assertSame('name', $answer->text('errors.0.field'));
        self::assertStringNotContainsString('Student A', $answer->raw);
        $this->knock('Nobody Here')->is(404);
    }

    public function test_asking_for_a_taken_name_does_not_give_up_ones_own(): void
    {
        $this->join($this->lesson, $this->id(1));
        $mine = $this->join($this->lesson, $this->id(0));
        $this->asStudent($mine);
        self::assertSame('name', $this->knock('Student B')->is(409)->text('errors.0.field'));
        self::assertSame('Student A', $this->ask('GET', '/api/student/now')->is(200)->text('name'));
    }

    public function test_one_device_is_one_student(): void
    {
        $token = $this->join($this->lesson, $this->id(0));
        $this->asStudent($token);
        $this->knock('Student B')->is(200);
        self::assertSame('Student B', $this->ask('GET', '/api/student/now')->is(200)->text('name'));
        self::assertSame(1, $this->db()->fetchOne('SELECT COUNT(*) FROM student_device'));
        $this->asStudent($token);
        $this->ask('GET', '/api/student/now')->is(401);
    }

    public function test_a_device_that_has_been_several_people_has_to_ask(): void
    {
        $this->asNobody();
        foreach (['A', 'B', 'C', 'D', 'E', 'F'] as $letter) {
            $this->forgetLimits();
            $this->knock("Student {$letter}")->is(200);
        }
        $cookie = $this->client->getCookieJar()->get(StudentDeviceStore::COOKIE);
        self::assertNotNull($cookie);
        $statuses = [];
        for ($i = 0; $i < 8; ++$i) {
            $this->client->getCookieJar()->set($cookie);
            $statuses[] = $this->knock('Student F')->status;
        }
        self::assertSame(429, end($statuses));
    }

    public function test_one_script_does_not_take_all_names_in_a_second(): void
    {
        $lesson = $this->newLesson(26, 'Large');
        $this->doorWord = $lesson->text('doorWord');
        $taken = 0;
        foreach (range('A', 'Z') as $letter) {
            $this->asNobody();
            $answer = $this->knock("Student {$letter}");
            $taken += 200 === $answer->status ? 1 : 0;
            if (429 === $answer->status) {
                self::assertSame('1', $this->client->getResponse()->headers->get('Retry-After'));
            }
        }
        self::assertGreaterThanOrEqual(10, $taken);
        self::assertLessThan(20, $taken);
    }

    public function test_a_pass_opens_the_door_without_a_word(): void
    {
        $pass = $this->pass(2);
        $this->asNobody();
        self::assertSame(
            'in',
            $this->ask('POST', '/api/student/join', ['pass' => $pass])
                ->is(200)
                ->text('state'),
        );
        self::assertSame('Student C', $this->ask('GET', '/api/student/now')->is(200)->text('name'));
        self::assertSame(1, $this->db()->fetchOne('SELECT COUNT(*) FROM student WHERE pass_used_at IS NOT NULL'));
        self::assertSame(
            'in',
            $this->ask('POST', '/api/student/join', ['pass' => $pass])
                ->is(200)
                ->text('state'),
            'a second scan changes nothing',
        );
    }

    public function test_who_scans_a_pass_whose_name_another_device_has_waits_until_the_teacher_says_who_is_who(): void
    {
        $pass = $this->pass(2);
        $this->join($this->lesson, $this->id(2));
        $this->asNobody();
        self::assertSame(
            'waiting',
            $this->ask('POST', '/api/student/join', ['pass' => $pass])
                ->is(200)
                ->text('state'),
        );
        $this->ask('GET', '/api/student/now')->is(401);
        $this->asTeacher();
        $waits = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame(
            ['Student C', $this->id(2)],
            [$waits->at('doorway.0.typed'), $waits->at('doorway.0.student')],
        );
    }

    public function test_whoever_came_in_by_a_slip_that_was_lost_is_out_when_it_is_made_anew(): void
    {
        $pass = $this->pass(2);
        $this->asNobody();
        $this->ask('POST', '/api/student/join', ['pass' => $pass])->is(200);
        $thief = $this->client->getCookieJar()->all();
        $honest = $this->join($this->lesson, $this->id(1));
        $this->asTeacher();
        foreach ([1, 2] as $student) {
            $this->ask('POST', "/api/staff/students/{$this->id($student)}/pass")->is(204);
        }
        $this->asNobody();
        foreach ($thief as $cookie) {
            $this->client->getCookieJar()->set($cookie);
        }
        $this->ask('GET', '/api/student/now')->is(401);
        $this->asStudent($honest);
        self::assertSame('Student B', $this->ask('GET', '/api/student/now')->is(200)->text('name'), 'by name');
    }

    public function test_passes_end_where_they_are_renewed_and_with_the_student_and_the_class(): void
    {
        [$one, $other] = [$this->pass(0), $this->pass(1)];
        $uses = function (string $pass): int {
            $this->asNobody();
            $status = $this->ask('POST', '/api/student/join', ['pass' => $pass])->status;
            $this->asTeacher();
            $this->ask('POST', "/api/staff/classes/{$this->classId}/free")->is(204);

            return $status;
        };
        $this->ask('POST', "/api/staff/students/{$this->id(0)}/pass")->is(204);
        self::assertSame([404, 200], [$uses($one), $uses($other)], 'a lost slip');
        $this->ask('POST', "/api/staff/classes/{$this->classId}/passes")->is(204);
        self::assertSame([404, 200], [$uses($other), $uses($this->pass(1))], 'new ones for all');
        $this->ask('DELETE', '/api/staff/students/'.$this->id(1))->is(204);
        self::assertSame([404, 200], [$uses($other), $uses($left = $this->pass(2))]);
        $this->ask('POST', "/api/staff/classes/{$this->classId}/archive", ['archived' => true])->is(204);
        self::assertSame(404, $uses($left));
    }

    public function test_passes_cannot_be_guessed_or_made_from_another_or_from_a_class_page(): void
    {
        [$mine, $theirs] = [$this->pass(0), $this->pass(1)];
        $this->asNobody();
        $wall = basename($this->lesson->text('classPage'));
        foreach (
            [
                substr($mine, 0, 22).substr($theirs, 22),
                strrev($mine),
                '',
                'x',
                $wall,
                substr($mine, 0, 22).substr($wall, 22),
                str_repeat('z', 22).substr($mine, 22),
                $mine."\n",
            ] as $made
        ) {
            $answer = $this->ask('POST', '/api/student/join', ['pass' => $made])->is(404);
            self::assertSame('pass', $answer->text('errors.0.field'));
        }
        $answers = array_map(
            fn (int $i): int => $this->ask('POST', '/api/student/join', ['pass' => "wrong{$i}"])->status,
            range(1, 40),
        );
        self::assertContains(429, $answers, 'nor tried at leisure');
        self::assertSame(200, $this->ask('POST', '/api/student/join', ['pass' => $mine])->status);
        $this->ask('GET', '/api/class-page/'.$mine)->is(404);
    }

    public function test_claims_end_with_the_day(): void
    {
        $token = $this->join($this->lesson, $this->id(0));
        $this->db()->executeStatement("UPDATE student_device SET until = now() - interval '1 minute'");
        $this->asStudent($token);
        $this->ask('GET', '/api/student/now')->is(401);
        $this->asNobody();
        $this->knock('Student A')->is(200);
    }

    public function test_coming_in_changes_nothing_on_the_list(): void
    {
        $this->ask('PATCH', '/api/staff/students/'.$this->id(1), ['absent' => true])->is(204);
        $this->join($this->lesson, $this->id(1));
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame(
            [true, true],
            [$lesson->at('students.1.absent'), $lesson->at('students.1.claimed')],
            'the teacher sees both, and decides',
        );
    }

    public function test_an_archived_class_has_no_door(): void
    {
        $token = $this->join($this->lesson, $this->id(0));
        $this->ask('POST', "/api/staff/classes/{$this->classId}/archive", ['archived' => true])->is(204);
        $this->asStudent($token);
        $this->ask('GET', '/api/student/now')->is(401);
        $this->asNobody();
        $this->door()->is(404);
        $this->knock('Student A')->is(404);
    }

    public function test_wrong_codes_cannot_be_tried_at_leisure_and_a_right_one_always_works(): void
    {
        $this->asNobody();
        $answers = [];
        for ($i = 0; $i < 60; ++$i) {
            $answers[] = $this->ask('GET', '/api/student/classes/ZZZZZ'.\chr(65 + ($i % 26)))->status;
        }
        self::assertSame([404 => 40, 429 => 20], array_count_values($answers));
        $this->door()->is(200);
        $this->knock('Student A')->is(200);
    }

    public function test_wrong_names_cannot_be_tried_at_leisure_and_a_right_one_always_works(): void
    {
        $this->asNobody();
        $answers = [];
        for ($i = 0; $i < 45; ++$i) {
            $answers[] = $this->knock("Somebody Else {$i}")->status;
        }
        self::assertSame([404 => 40, 429 => 5], array_count_values($answers));
        $this->knock('Student A')->is(200);
    }

    public function test_a_thousand_addresses_together_are_limited_too(): void
    {
        $answers = [];
        for ($i = 0; $i < 230; ++$i) {
            $this->asNobody();
            $answers[] = $this->ask(
                'POST',
                '/api/student/join',
                ['doorWord' => $this->doorWord, 'name' => "Somebody Else {$i}"],
                ['X-Forwarded-For' => "198.51.100.{$i}"],
            )->status;
        }
        self::assertSame([404 => 200, 429 => 30], array_count_values($answers));
    }

    public function test_who_is_not_on_the_list_waits_in_the_doorway_until_the_teacher_says_who_it_is(): void
    {
        $this->asNobody();
        self::assertSame('outside', $this->ask('GET', '/api/student/door')->text('state'));
        self::assertSame('waiting', $this->knock('Beanie', true)->is(200)->text('state'));
        self::assertSame('waiting', $this->ask('GET', '/api/student/door')->text('state'));
        $this->ask('GET', '/api/student/now')->is(401);
        $token = (string) $this->client->getCookieJar()->get(StudentDeviceStore::COOKIE)?->getValue();
        $this->asTeacher();
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame(['Beanie', null], [$lesson->text('doorway.0.typed'), $lesson->at('doorway.0.student')]);
        $this->ask('POST', "/api/staff/classes/{$this->classId}/doorway/".$lesson->text('doorway.0.id'), [
            'student' => $this->id(1),
        ])->is(204);
        self::assertSame([], $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->list('doorway'));
        $this->asStudent($token);
        self::assertSame('in', $this->ask('GET', '/api/student/door')->text('state'));
        self::assertSame('Student B', $this->ask('GET', '/api/student/now')->is(200)->text('name'));

        // The next time the name is known.
        $this->asTeacher();
        $this->ask('POST', "/api/staff/classes/{$this->classId}/free")->is(204);
        $this->asNobody();
        $this->knock('beanie')->is(200);
        self::assertSame('Student B', $this->ask('GET', '/api/student/now')->text('name'));
    }

    public function test_not_now_and_a_doubly_claimed_name(): void
    {
        $first = $this->join($this->lesson, $this->id(0));
        $this->asNobody();
        $this->knock('Student A')->is(409);
        self::assertSame('waiting', $this->knock('Student A', true)->text('state'));
        $second = (string) $this->client->getCookieJar()->get(StudentDeviceStore::COOKIE)?->getValue();
        $this->asTeacher();
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame($this->id(0), $lesson->text('doorway.0.student'), 'who that would be');
        $guest = "/api/staff/classes/{$this->classId}/doorway/".$lesson->text('doorway.0.id');
        $this->ask('DELETE', $guest)->is(204);
        $this->asStudent($second);
        self::assertSame('notNow', $this->ask('GET', '/api/student/door')->text('state'));
        $this->asTeacher();
        $this->ask('POST', $guest, ['student' => $this->id(0)])->is(204);
        $this->asStudent($second);
        $this->ask('GET', '/api/student/now')->is(200);
        $this->asStudent($first);
        $this->ask('GET', '/api/student/now')->is(401);
    }

    public function test_who_waits_comes_in_when_their_name_comes_onto_the_list(): void
    {
        $this->asNobody();
        $this->knock('Noor Haddad')->is(404);
        $this->knock('Noor Haddad', true)->is(200);
        $device = $this->client->getCookieJar()->get(StudentDeviceStore::COOKIE)?->getValue() ?? '';
        self::assertSame('waiting', $this->ask('GET', '/api/student/door')->text('state'));
        $this->asTeacher();
        $this->ask('POST', "/api/staff/classes/{$this->classId}/import", ['text' => "Name\nNoor  HADDAD"])->is(200);
        $this->asStudent($device);
        self::assertSame('in', $this->ask('GET', '/api/student/door')->text('state'));
        self::assertSame('Noor HADDAD', $this->ask('GET', '/api/student/now')->text('name'));
    }

    public function test_at_a_checked_door_everybody_waits_and_comes_in_by_a_press_or_all_at_once(): void
    {
        $pass = $this->pass(2);
        $this->ask('PATCH', "/api/staff/classes/{$this->classId}/door", ['mode' => 'checked'])->is(200);
        $tokens = [];
        foreach (['Student A', 'student b'] as $name) {
            $this->asNobody();
            self::assertSame('waiting', $this->knock($name)->is(200)->text('state'));
            $tokens[] = $this->device();
            $this->ask('GET', '/api/student/door')->is(200);
            $this->ask('GET', '/api/student/now')->is(401);
        }
        $this->asNobody();
        self::assertSame(
            'waiting',
            $this->ask('POST', '/api/student/join', ['pass' => $pass])->text('state'),
            'also by a pass',
        );
        $this->asNobody();
        $this->knock('Nobody Here', true)->is(200);
        $this->asTeacher();
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame([false, false, false, false], array_column($lesson->list('doorway'), 'taken'));
        self::assertSame(
            [$this->id(0), $this->id(1), $this->id(2), null],
            array_column($lesson->list('doorway'), 'student'),
        );
        $this->ask('POST', "/api/staff/classes/{$this->classId}/doorway")->is(204);
        self::assertCount(
            1,
            $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->list('doorway'),
            'whom nobody knows still waits',
        );
        foreach ($tokens as $token) {
            $this->asStudent($token);
            $this->ask('GET', '/api/student/now')->is(200);
        }
    }

    public function test_where_only_slips_open_the_door_a_typed_name_does_not(): void
    {
        $pass = $this->pass(2);
        $this->ask('PATCH', "/api/staff/classes/{$this->classId}/door", ['mode' => 'passOnly'])->is(200);
        $this->asNobody();
        self::assertSame('name', $this->knock('Student A')->is(422)->text('errors.0.field'));
        self::assertSame('waiting', $this->knock('Student A', true)->is(200)->text('state'));
        self::assertSame(
            'waiting',
            $this->ask('GET', '/api/student/door')->text('state'),
            'and does not let itself in',
        );
        $this->asNobody();
        self::assertSame(
            'in',
            $this->ask('POST', '/api/student/join', ['pass' => $pass])
                ->is(200)
                ->text('state'),
        );
    }

    public function test_whoever_is_on_no_list_takes_part_as_a_guest(): void
    {
        $this->asNobody();
        $this->knock('Aunt Mary', true)->is(200);
        $token = $this->device();
        $this->asTeacher();
        $guest = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->text('doorway.0.id');
        $this->ask('POST', "/api/staff/classes/{$this->classId}/doorway/{$guest}/guest")->is(204);
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame(
            ['Aunt Mary', ['guest']],
            [$lesson->text('students.6.name'), $lesson->texts('students.6.tags')],
        );
        $this->asStudent($token);
        self::assertSame('Aunt Mary', $this->ask('GET', '/api/student/now')->is(200)->text('name'));
        $this->asNobody();
        $this->knock('Aunt Mary', true)->is(200);
        $this->asTeacher();
        $again = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->text('doorway.0.id');
        $this->ask('POST', "/api/staff/classes/{$this->classId}/doorway/{$again}/guest")->is(422);
    }

    public function test_a_newer_device_asks_and_the_older_one_says_yes_or_no(): void
    {
        $older = $this->join($this->lesson, $this->id(0));
        $stranger = $this->join($this->lesson, $this->id(1));
        $this->asStudent($older);
        self::assertNull($this->ask('GET', '/api/student/now')->at('otherDevice'));
        $newer = '';
        foreach ([false, true] as $mine) {
            $this->asNobody();
            $this->knock('Student A', true)->is(200);
            $newer = $this->device();
            $this->asStudent($older);
            $guest = $this->ask('GET', '/api/student/now')->text('otherDevice');
            $this->asStudent($stranger);
            self::assertNull($this->ask('GET', '/api/student/now')->at('otherDevice'));
            $this->ask('POST', '/api/student/other-device', ['guest' => $guest, 'mine' => true])->is(404);
            $this->asStudent($older);
            $this->ask('POST', '/api/student/other-device', ['guest' => $guest, 'mine' => $mine])->is(204);
            $this->asStudent($newer);
            self::assertSame($mine ? 'in' : 'notNow', $this->ask('GET', '/api/student/door')->text('state'));
        }
        $this->asStudent($older);
        $this->ask('GET', '/api/student/now')->is(401);
        $this->asStudent($newer);
        self::assertSame('Student A', $this->ask('GET', '/api/student/now')->is(200)->text('name'));
    }

    public function test_who_leaves_has_not_come_rather_than_been_lost(): void
    {
        $this->asNobody();
        $this->knock('Student B')->is(200);
        $this->ask('GET', '/api/student/now')->is(200);
        $this->ask('POST', '/api/student/leave')->is(204);
        $this->asTeacher();
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame(['lost', 'never'], [$lesson->text('students.1.place'), $lesson->text('students.1.because')]);
    }

    public function test_the_teacher_frees_one_name_or_all_renews_the_code_and_puts_a_wrong_claim_right_in_one_press_each(): void
    {
        $tokens = array_map(fn (int $i): string => $this->join($this->lesson, $this->id($i)), range(0, 2));
        $this->ask('POST', '/api/staff/students/'.$this->id(0).'/free')->is(204);
        $this->ask('POST', '/api/staff/students/'.$this->id(1).'/is', ['student' => $this->id(4)])->is(204);
        $this->ask('POST', '/api/staff/students/'.$this->id(1).'/is', ['student' => $this->id(5)])->is(409);
        $this->asStudent($tokens[0]);
        $this->ask('GET', '/api/student/now')->is(401);
        $this->asStudent($tokens[1]);
        self::assertSame('Student E', $this->ask('GET', '/api/student/now')->is(200)->text('name'));
        $this->asTeacher();
        $fresh = $this->ask('POST', "/api/staff/classes/{$this->classId}/door-word")
            ->is(200)
            ->text('doorWord');
        self::assertNotSame($this->doorWord, $fresh);
        $this->asStudent($tokens[2]);
        $this->ask('GET', '/api/student/now')->is(200);
        $this->asNobody();
        $this->door()->is(404);
        $this->doorWord = $fresh;
        $this->door()->is(200);
        $this->asTeacher();
        $this->ask('POST', "/api/staff/classes/{$this->classId}/free")->is(204);
        foreach ($tokens as $token) {
            $this->asStudent($token);
            $this->ask('GET', '/api/student/now')->is(401);
        }
    }

    public function test_the_device_that_was_asked_out_is_told_why(): void
    {
        $old = $this->inAs('Student A');
        $this->asNobody();
        $this->forgetLimits();
        $waits = $this->ask('POST', '/api/student/join', [
            'doorWord' => $this->doorWord,
            'name' => 'Student A',
            'wait' => true,
        ])->is(200);
        self::assertSame(
            ['waiting', true, 'Student A'],
            [$waits->text('state'), $waits->at('taken'), $waits->text('name')],
        );
        $this->asTeacher();
        $guest = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->text('doorway.0.id');
        $this->asStudent($old);
        $this->ask('POST', '/api/student/other-device', ['guest' => $guest, 'mine' => true])->is(204);
        $door = $this->ask('GET', '/api/student/door')->is(200);
        self::assertSame(
            ['outside', 'otherDevice', 'Student A'],
            [$door->text('state'), $door->text('ended'), $door->text('name')],
        );
    }

    public function test_where_the_teacher_allows_it_a_student_has_two_devices_and_no_third(): void
    {
        $this->ask('PATCH', "/api/staff/classes/{$this->classId}/door", ['twoDevices' => true])->is(200);
        $first = $this->inAs('Student A');
        $second = $this->inAs('Student A');
        foreach ([$first, $second] as $device) {
            $this->asStudent($device);
            self::assertSame('Student A', $this->ask('GET', '/api/student/now')->is(200)->text('name'));
        }
        $this->asNobody();
        $this->forgetLimits();
        $this->ask('POST', '/api/student/join', ['doorWord' => $this->doorWord, 'name' => 'Student A'])->is(409);
        $this->asTeacher();
        self::assertCount(
            1,
            array_filter(
                $this->ask('GET', "/api/staff/classes/{$this->classId}")->list('students'),
                static fn (mixed $one): bool => \is_array($one) && 'Student A' === $one['name'],
            ),
        );
    }

    private function inAs(string $name): string
    {
        $this->asNobody();
        $this->forgetLimits();
        $this->knock($name)->is(200);
        $device = $this->device();
        $this->asTeacher();

        return $device;
    }

    private function device(): string
    {
        return (string) $this->client->getCookieJar()->get(StudentDeviceStore::COOKIE)?->getValue();
    }

    private function pass(int $student): string
    {
        $paper = $this->ask('GET', '/api/staff/rounds/'.$this->lesson->text('round.id').'/paper')->is(200);
        $at = array_search($this->id($student), array_column($paper->list('slips'), 'id'), true);

        return substr($paper->text("slips.{$at}.pass"), \strlen('/student?pass='));
    }

    private function door(): Json
    {
        return $this->ask('GET', '/api/student/classes/'.rawurlencode($this->doorWord));
    }

    private function knock(string $name, bool $wait = false): Json
    {
        return $this->ask('POST', '/api/student/join', [
            'doorWord' => $this->doorWord,
            'name' => $name,
            'wait' => $wait,
        ]);
    }

    private function id(int $student): string
    {
        return $this->lesson->text("students.{$student}.id");
    }

    public function test_strangers_at_the_door_take_no_place_of_those_on_the_list(): void
    {
        for ($i = 0; $i < 66; ++$i) {
            $this->asNobody();
            $status = $this->ask(
                'POST',
                '/api/student/join',
                ['doorWord' => $this->doorWord, 'name' => "Stranger {$i}", 'wait' => true],
                ['X-Forwarded-For' => "198.51.100.{$i}"],
            )->status;
            self::assertSame($i < 60 ? 200 : 429, $status);
        }
        $this->asTeacher();
        $this->ask('PATCH', "/api/staff/classes/{$this->classId}/door", ['mode' => 'checked'])->is(200);
        for ($i = 0; $i < 6; ++$i) {
            $this->asNobody();
            self::assertSame(
                'waiting',
                $this->knock('Student '.\chr(65 + $i))
                    ->is(200)
                    ->text('state'),
            );
        }
    }

    public function test_a_class_of_28_behind_one_address_waits_as_it_is_though_strangers_are_there(): void
    {
        $lesson = $this->newLesson(28, '9H');
        $class = $lesson->text('classId');
        $this->ask('PATCH', "/api/staff/classes/{$class}/door", ['mode' => 'checked'])->is(200);
        $word = $this->ask('GET', "/api/staff/classes/{$class}")->text('doorWord');
        foreach ($lesson->list('students') as $student) {
            \assert(\is_array($student) && \is_string($student['name']));
            for ($try = 0;; ++$try) {
                $this->asNobody();
                $status = $this->ask('POST', '/api/student/join', ['doorWord' => $word, 'name' => $student['name']])
                    ->status;
                if (200 === $status) {
                    break;
                }
                self::assertSame(429, $status);
                self::assertLessThan(5, $try, 'The page tries again each second.');
                sleep(1);
            }
        }
        $this->asTeacher();
        self::assertCount(28, $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->list('doorway'));
    }

    public function test_who_floods_the_places_of_a_name_takes_only_their_own(): void
    {
        $this->ask('PATCH', "/api/staff/classes/{$this->classId}/door", ['mode' => 'checked'])->is(200);
        $this->asNobody();
        $this->ask(
            'POST',
            '/api/student/join',
            ['doorWord' => $this->doorWord, 'name' => 'Student A'],
            ['X-Forwarded-For' => '203.0.113.7'],
        )->is(200);
        $own = (string) $this->client->getCookieJar()->get(StudentDeviceStore::COOKIE)?->getValue();
        foreach ([1, 1, 1, 1, 2, 2, 2, 3, 3, 4, 4, 5, 5] as $network) {
            $this->forgetLimits();
            $this->asNobody();
            $this->ask(
                'POST',
                '/api/student/join',
                ['doorWord' => $this->doorWord, 'name' => 'Student A'],
                ['X-Forwarded-For' => "198.51.100.{$network}"],
            )->is(200);
        }
        $this->asStudent($own);
        self::assertSame('waiting', $this->ask('GET', '/api/student/door')->text('state'));
        $this->asTeacher();
        self::assertCount(8, $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->list('doorway'));
    }

    public function test_the_teacher_turns_away_everybody_unknown_with_one_press_and_may_let_them_wait_again(): void
    {
        $this->asNobody();
        $this->knock('Stranger', true)->is(200);
        $stranger = (string) $this->client->getCookieJar()->get(StudentDeviceStore::COOKIE)?->getValue();
        $this->asTeacher();
        $this->ask('DELETE', "/api/staff/classes/{$this->classId}/doorway/strangers")->is(204);
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame([[], true], [$lesson->list('doorway'), $lesson->at('shut')]);
        $this->asStudent($stranger);
        self::assertSame('notNow', $this->ask('GET', '/api/student/door')->text('state'));
        $this->asNobody();
        self::assertSame('name', $this->knock('Another Stranger', true)->is(422)->text('errors.0.field'));
        $this->asNobody();
        $this->knock('Student A')->is(200);
        $this->asTeacher();
        $this->ask('POST', "/api/staff/classes/{$this->classId}/doorway/strangers")->is(204);
        $this->asNobody();
        self::assertSame('waiting', $this->knock('Another Stranger', true)->is(200)->text('state'));
    }

    public function test_names_made_to_look_like_another_are_flagged_and_names_of_the_world_are_not(): void
    {
        foreach (['Аda Lund', 'Stυdent A', "Ada\u{3164} Lund", 'Sοphie'] as $odd) {
            self::assertTrue(LooksLike::another($odd), $odd);
        }
        foreach (
            [
                'Ada Lund',
                'Sóley Arnardóttir',
                'Zofia Wójcik',
                '山田太郎',
                'Юлия Иванова',
                'أحمد',
                'Nguyễn Thị Hoa',
                "O'Brien",
                '김민준',
                'Ανδρέας',
                '山田 Hanako',
                'Anne-Marie 2',
            ] as $name
        ) {
            self::assertFalse(LooksLike::another($name), $name);
        }
    }
}
