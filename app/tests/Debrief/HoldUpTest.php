<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Debrief;

use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;

/**
 * Work is shown to everybody, without names unless they are wanted, and is gone when it is put down.
 */
final class HoldUpTest extends DebriefTestCase
{
    /** @var list<string> */
    private array $tokens;
    private string $copy;

    protected function setUp(): void
    {
        parent::setUp();
        $this->tokens = $this->workDone();
        $this->copy = $this->copyOf($this->tokens[0]);
        $this->write($this->tokens[0], $this->copy, 'noticed', 'The cellars are full.');
        $this->write($this->tokens[0], $this->copy, 'decision', 'Behind the yard.');
    }

    public function test_a_page_is_on_every_page_and_on_the_wall(): void
    {
        $this->show(['page' => 'page-1']);
        foreach ([...$this->tokens, null] as $token) {
            $seen = $this->seen($token);
            self::assertSame('District sheet', $seen->text('shown.pieces.0.title'));
            self::assertStringContainsString('Behind the yard.', $seen->raw);
            self::assertStringContainsString('The cellars are full.', $seen->raw);
        }
    }

    public function test_one_place_or_one_answer_is_shown_and_nothing_beside_it(): void
    {
        $this->show(['slot' => 'decision']);
        self::assertStringNotContainsString('The cellars', $this->seen($this->tokens[1])->raw);
        $this->write($this->other(), $this->copy, 'noticed', 'Somebody else’s answer.');
        $this->show(['slot' => 'noticed', 'owner' => $this->student(0)]);
        $seen = $this->seen($this->tokens[1])->raw;
        self::assertStringContainsString('The cellars are full.', $seen);
        self::assertStringNotContainsString('Somebody else', $seen);
    }

    public function test_without_names_nothing_says_whose_it_is(): void
    {
        $this->show(['page' => 'page-1']);
        foreach ([$this->tokens[1], null] as $token) {
            $shown = json_encode($this->seen($token)->at('shown'), \JSON_THROW_ON_ERROR);
            foreach ($this->whose() as $secret) {
                self::assertStringNotContainsString($secret, $shown);
            }
        }
        $this->debrief('PATCH', '/shown', ['names' => true])->is(200);
        $shown = $this->seen($this->tokens[1]);
        self::assertSame($this->groupOf(0), $shown->text('shown.pieces.0.group.name'));
        self::assertSame($this->lesson->text('students.0.name'), $shown->text('shown.pieces.0.answers.0.name'));
    }

    public function test_that_names_are_wanted_is_remembered_for_the_class(): void
    {
        $this->show([]);
        $this->debrief('PATCH', '/shown', ['names' => true])->is(200);
        $class = $this->lesson->text('classId');
        $next = $this->ask('POST', "/api/staff/classes/{$class}/lessons", ['title' => 'Next', 'minutes' => 40]);
        self::assertTrue($this->ask('GET', '/api/staff/lessons/'.$next->text('id').'/debrief')->at('showsNames'));
    }

    public function test_answers_stand_in_another_order_than_seats(): void
    {
        $tokens = $this->workDone(8, 1, 8);
        $copy = $this->copyOf($tokens[0]);
        foreach ($tokens as $i => $token) {
            $this->write($token, $copy, 'noticed', "Answer {$i}");
        }
        $this->debrief('POST', '/shown', ['copy' => $copy, 'slot' => 'noticed'])->is(200);
        $shown = $this->seen($tokens[0])->list('shown.pieces.0.answers');
        $order = array_column($shown, 'text');
        self::assertCount(8, $order);
        self::assertNotSame(array_map(static fn (int $i): string => "Answer {$i}", range(0, 7)), $order);
        self::assertSame($order, array_column($this->seen($tokens[1])->list('shown.pieces.0.answers'), 'text'));
    }

    public function test_a_second_one_is_shown_beside_the_first(): void
    {
        $this->show(['slot' => 'decision']);
        $other = $this->copyOf($this->stranger());
        $this->write($this->stranger(), $other, 'decision', 'Along the quay.');
        $this->debrief('POST', '/shown', ['copy' => $other, 'slot' => 'decision', 'beside' => true])->is(200);
        $seen = $this->seen($this->tokens[0]);
        self::assertCount(2, $seen->list('shown.pieces'));
        self::assertStringContainsString('Behind the yard.', $seen->raw);
        self::assertStringContainsString('Along the quay.', $seen->raw);
        $this->show(['slot' => 'noticed']);
        self::assertCount(1, $this->seen($this->tokens[0])->list('shown.pieces'), 'the next takes the place of all');
    }

    public function test_it_follows_what_is_written_until_it_is_frozen(): void
    {
        $this->show(['slot' => 'decision']);
        $this->write($this->tokens[0], $this->copy, 'decision', 'Behind the mill.', 'Behind the yard.');
        self::assertStringContainsString('Behind the mill.', $this->seen($this->tokens[1])->raw);
        $revision = $this->seen($this->tokens[1])->int('revision');
        sleep(1);
        $this->work();
        self::assertGreaterThan($revision, $this->seen($this->tokens[1])->int('revision'), 'pages are told');
        $this->debrief('PATCH', '/shown', ['frozen' => true])->is(200);
        $this->write($this->tokens[0], $this->copy, 'decision', 'Nowhere.', 'Behind the mill.');
        self::assertStringContainsString('Behind the mill.', $this->seen($this->tokens[1])->raw);
        $this->debrief('PATCH', '/shown', ['frozen' => false])->is(200);
        self::assertStringContainsString('Nowhere.', $this->seen($this->tokens[1])->raw);
    }

    public function test_what_the_teacher_points_at_is_on_every_screen_until_the_next_press(): void
    {
        $this->show(['page' => 'page-1']);
        $this->debrief('PATCH', '/shown', ['pointer' => 'decision:a0:w3'])->is(200);
        self::assertSame('decision:a0:w3', $this->seen($this->tokens[1])->text('shown.pieces.0.pointer'));
        $this->debrief('PATCH', '/shown', ['pointer' => ''])->is(200);
        self::assertSame('', $this->seen(null)->text('shown.pieces.0.pointer'));
        $this->debrief('PATCH', '/shown', ['pointer' => '<script>'])->is(422);
    }

    public function test_put_down_it_is_gone_and_so_it_is_with_the_next_part_and_the_end(): void
    {
        $this->show(['page' => 'page-1']);
        $this->debrief('DELETE', '/shown')->is(200);
        $this->nothingIsShown();
        $this->show(['page' => 'page-1']);
        $this->everybodyBack();
        $this->shareOut();
        $this->nothingIsShown();
        $this->show(['page' => 'page-1']);
        $this->command($this->id, 'end')->is(200);
        $this->nothingIsShown();
    }

    public function test_pressed_twice_it_is_shown_once(): void
    {
        $this->show(['page' => 'page-1']);
        $revision = $this->debrief('GET')->int('revision');
        $this->show(['page' => 'page-1']);
        self::assertSame($revision, $this->debrief('GET')->int('revision'));
    }

    public function test_a_place_that_is_not_there_or_another_classs_work_is_refused(): void
    {
        $this->debrief('POST', '/shown', ['copy' => $this->copy, 'slot' => 'nowhere'])->is(422);
        $this->debrief('POST', '/shown', ['copy' => $this->copy, 'slot' => 'brief'])->is(422);
        $this->debrief('POST', '/shown', ['copy' => $this->copy, 'page' => 'page-9'])->is(422);
        $mine = $this->id;
        $theirs = $this->copyOf($this->workDone()[0]);
        $this->ask('POST', "/api/staff/lessons/{$mine}/debrief/shown", ['copy' => $theirs])->is(404);
    }

    public function test_a_picture_in_shown_work_is_open_to_all_while_it_is_shown(): void
    {
        $picture = $this->ask('POST', '/api/staff/media', ['content' => base64_encode(Files::picture())])->text('id');
        $this->asTeacher();
        $round = $this->lesson->text('round.id');
        $original = $this->ask('POST', "/api/staff/rounds/{$round}/originals", self::original('Map', [
            ['id' => 'map', 'kind' => 'picture', 'text' => 'The harbour', 'settings' => ['media' => $picture]],
            ['id' => 'where', 'kind' => 'together', 'text' => 'Where?'],
        ]))->is(200);
        $this->ask('POST', "/api/staff/rounds/{$round}/copies");
        $copy = $this->db()->fetchOne("SELECT id FROM work_copy WHERE title = 'Map' LIMIT 1");
        self::assertIsString($copy, $original->raw);
        $this->pictureIs($picture, 404);
        $this->debrief('POST', '/shown', ['copy' => $copy])->is(200);
        $this->pictureIs($picture, 200);
        $this->debrief('DELETE', '/shown')->is(200);
        $this->pictureIs($picture, 404);
    }

    private function pictureIs(string $picture, int $status): void
    {
        $this->asStudent($this->tokens[0]);
        self::assertSame($status, $this->ask('GET', "/api/student/shown/media/{$picture}")->status);
        $this->asNobody();
        $wall = str_replace('/class-page/', '/api/class-page/', $this->wall());
        self::assertSame($status, $this->ask('GET', "{$wall}/shown/media/{$picture}")->status);
        $this->asTeacher();
    }

    private function nothingIsShown(): void
    {
        foreach ([...$this->tokens, null] as $token) {
            $seen = $this->seen($token);
            self::assertNull($seen->at('shown'));
            self::assertStringNotContainsString('Behind the yard.', $seen->raw);
        }
    }

    /**
     * @param array<string, mixed> $what
     */
    private function show(array $what): void
    {
        $this->debrief('POST', '/shown', ['copy' => $this->copy] + $what)->is(200);
    }

    private function seen(?string $token): Json
    {
        if (null === $token) {
            $this->asNobody();
            $seen = $this->ask('GET', str_replace('/class-page/', '/api/class-page/', $this->wall()).'/debrief');
        } else {
            $this->asStudent($token);
            $seen = $this->ask('GET', '/api/student/debrief');
        }
        $this->asTeacher();

        return $seen->is(200);
    }

    private function wall(): string
    {
        $this->asTeacher();
        $path = $this->ask('GET', "/api/staff/lessons/{$this->id}")->text('classPage');
        $this->asNobody();

        return $path;
    }

    private function student(int $i): string
    {
        return $this->lesson->text("students.{$i}.id");
    }

    /** Somebody else of the first one's group. */
    private function other(): string
    {
        return $this->withGroup(true);
    }

    /** Somebody of the other group. */
    private function stranger(): string
    {
        return $this->withGroup(false);
    }

    private function withGroup(bool $same): string
    {
        foreach ([1, 2, 3, 4, 5] as $i) {
            if (($this->groupOf($i) === $this->groupOf(0)) === $same) {
                return $this->tokens[$i];
            }
        }
        self::fail('no such student');
    }

    private function groupOf(int $student): string
    {
        foreach ([0, 1] as $i) {
            if (\in_array($this->student($student), $this->lesson->texts("floor.groups.{$i}.students"), true)) {
                return $this->lesson->text("floor.groups.{$i}.name");
            }
        }
        self::fail('no such group');
    }

    /**
     * @return list<string> all that would say whose the shown work is
     */
    private function whose(): array
    {
        $secrets = [$this->copy, '"'.$this->groupOf(0).'"', $this->lesson->text('students.0.name')];
        foreach ([0, 1] as $i) {
            $secrets[] = $this->lesson->text("floor.groups.{$i}.id");
        }
        foreach (array_keys($this->lesson->list('students')) as $i) {
            $secrets[] = $this->lesson->text("students.{$i}.id");
        }

        return $secrets;
    }
}
