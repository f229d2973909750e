<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Record;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Tests\Debrief\DebriefTestCase;
use FreshHuddle\App\Tests\Formats\Schema;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\Core\Tests\Record\SecondRecorder;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * The record of a lesson, from what was really done in it.
 */
final class RecordTest extends DebriefTestCase
{
    public function test_there_is_none_before_the_lesson_has_begun(): void
    {
        $lesson = $this->readyLesson();
        $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id').'/record')->is(404);
    }

    public function test_it_says_who_wrote_called_was_visited_and_called_on(): void
    {
        $tokens = $this->workDone(4, 2, 4);
        [$ada, $group] = [$this->lesson->text('students.0.id'), $this->groupOf(0)];
        $copy = $this->copyOf($tokens[0]);
        $this->write($tokens[0], $copy, 'noticed', 'The cellars are full of water.');
        $this->write($tokens[0], $copy, 'decision', 'Behind the yard.');
        $mate = $this->mateOf(0);
        $this->write($tokens[$mate], $copy, 'decision', 'Behind the old yard, says Ben.', 'Behind the yard.');
        $this->asStudent($tokens[0]);
        $this->ask('PUT', '/api/student/call', ['about' => 'stuck'])->is(200);
        $this->give(['kind' => 'visit', 'group' => $group]);
        $this->give(['kind' => 'leave']);
        $this->everybodyBack();
        $called = $this->debrief('POST', '/calls', ['last' => 0])->text('calls.0.student');
        $this->command($this->id, 'end')->is(200);
        $record = $this->record();
        $figures = $this->student($record, $ada);
        self::assertSame(9, $figures['put'], 'six words and three');
        self::assertSame(13, $figures['ofGroup'], 'and four that were not there before');
        self::assertSame([2, 1], [$figures['slots'], $figures['calls']]);
        self::assertSame(1, $this->student($record, $called)['calledOn']);
        $groups = array_column($record->list('groups'), null, 'group');
        self::assertIsArray($groups[$group]);
        self::assertSame([1, 1], [$groups[$group]['visits'], $groups[$group]['calls']]);
        self::assertSame($group, $record->text('visits.0.group'));
        self::assertGreaterThanOrEqual(3, \count($record->list('says')));
    }

    public function test_a_move_counts_from_its_moment_and_a_run_that_was_taken_back_not_at_all(): void
    {
        $this->lesson = $this->readyLesson(4, 2);
        $this->id = $this->lesson->text('id');
        $this->setRound($this->id, ['lookSeconds' => 60]);
        $this->command($this->id, 'sendOut')->is(200);
        $this->command($this->id, 'takeBack')->is(200);
        $this->setRound($this->id, ['lookSeconds' => 0]);
        $this->command($this->id, 'sendOut')->is(200);
        $floor = $this->ask('GET', "/api/staff/lessons/{$this->id}");
        [$who, $to] = [$floor->text('floor.groups.0.students.0'), $floor->text('floor.groups.1.id')];
        $this->ask('POST', '/api/staff/groupings/'.$floor->text('floor.id').'/edits', [
            'kind' => 'seat',
            'student' => $who,
            'group' => $to,
            'basedOn' => $floor->int('floor.step'),
        ])->is(200);
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $record = $this->record();
        self::assertCount(1, $record->list('runs'));
        self::assertSame($to, $this->student($record, $who)['group']);
        $groups = array_column($record->list('groups'), 'students', 'group');
        self::assertIsArray($groups[$to]);
        self::assertContains($who, $groups[$to]);
    }

    public function test_the_file_follows_its_schema_and_a_second_program_agrees_with_every_figure(): void
    {
        $tokens = $this->workDone(4, 2, 4);
        $this->write($tokens[0], $this->copyOf($tokens[0]), 'decision', 'Behind the yard.');
        $this->asStudent($tokens[1]);
        $this->ask('PUT', '/api/student/call', ['about' => 'question'])->is(200);
        $this->asTeacher();
        $this->everybodyBack();
        $this->debrief('POST', '/calls', ['last' => 0])->is(200);
        $this->command($this->id, 'end')->is(200);
        $this->db()->executeStatement('UPDATE run SET ended_at = out_at + 600000');
        $this->db()->executeStatement('UPDATE lesson SET ended_at = ended_at + 900000 WHERE id = ?', [$this->id]);
        $file = $this->ask('GET', "/api/staff/lessons/{$this->id}/record.json")->is(200)->raw;
        self::assertTrue(Schema::allows('record', $file));
        $document = json_decode($file, true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($document);
        self::assertIsArray($document['figures']);
        $second = (new SecondRecorder($file))->figures();
        self::assertSame(600_000, $second['students'][0]['groupMs']);
        self::assertEquals($document['figures']['students'], $second['students']);
        self::assertEquals($document['figures']['groups'], $second['groups']);
    }

    public function test_a_table_for_the_mark_book(): void
    {
        $this->workDone(2, 1, 1);
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $csv = $this->ask('GET', "/api/staff/lessons/{$this->id}/record.csv")->is(200)->raw;
        self::assertStringContainsString($this->lesson->text('students.0.name'), $csv);
        self::assertSame(3, substr_count(trim($csv), "\n") + 1, 'a heading and two students');
    }

    public function test_a_figure_is_corrected_by_hand_and_the_computed_one_stays_beside_it(): void
    {
        $this->workDone(4, 2, 4);
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $ada = $this->lesson->text('students.0.id');
        $computed = $this->student($this->record(), $ada)['calls'];
        $this->correct($ada, 'calls', 3)->is(204);
        $this->correct($ada, 'calls', 4)->is(204);
        $record = $this->record();
        self::assertSame($computed, $this->student($record, $ada)['calls']);
        self::assertCount(1, $record->list('corrections'));
        self::assertSame('calls', $record->text('corrections.0.figure'));
        self::assertSame(4, $record->int('corrections.0.value'));
        self::assertContains($record->text('corrections.0.by'), array_column($record->list('staff'), 'id'));
        $csv = $this->ask('GET', "/api/staff/lessons/{$this->id}/record.csv")->is(200)->raw;
        self::assertStringContainsString('Asked for help: computed '.json_encode($computed), $csv);
        $this->correct($ada, 'calls', null)->is(204);
        self::assertSame([], $this->record()->list('corrections'));
    }

    public function test_what_cannot_be_is_not_taken(): void
    {
        $this->workDone(2, 1, 1);
        $ada = $this->lesson->text('students.0.id');
        $this->asTeacher();
        self::assertSame('value', $this->correct($ada, 'calls', -1)->is(422)->text('errors.0.field'));
        self::assertSame('value', $this->correct($ada, 'inPlaceMs', 86_400_001)->is(422)->text('errors.0.field'));
        $this->correct($ada, 'name', 1)->is(422);
        $this->correct($this->lesson->text('id'), 'calls', 1)->is(404);
        $other = $this->newTeacher('otto@larkmouth.example');
        $this->asTeacher($other);
        $this->correct($ada, 'calls', 1)->is(404);
    }

    public function test_points_follow_the_rule_the_teacher_states_and_its_corrections(): void
    {
        $tokens = $this->workDone(4, 2, 4);
        $this->write($tokens[0], $this->copyOf($tokens[0]), 'decision', 'Behind the yard.');
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        self::assertCount(0, $this->record()->list('points'));
        $this->ask('GET', "/api/staff/lessons/{$this->id}/record.oneroster")->is(422);
        $this->state([['kind' => 'wrote', 'atLeast' => 3, 'points' => 2], ['kind' => 'calledOn', 'atLeast' => 1, 'points' => 1]])
            ->is(204);
        [$ada, $ben] = [$this->lesson->text('students.0.id'), $this->lesson->text('students.1.id')];
        $this->correct($ben, 'calledOn', 1)->is(204);
        $points = $this->points();
        self::assertContains(['student' => $ada, 'sum' => 2, 'met' => [true, false]], $points);
        self::assertContains(['student' => $ben, 'sum' => 1, 'met' => [false, true]], $points);
        $csv = $this->ask('GET', "/api/staff/lessons/{$this->id}/record.csv")->is(200)->raw;
        self::assertStringContainsString('Points (of 3)', $csv);
        $file = $this->ask('GET', "/api/staff/lessons/{$this->id}/record.json")->is(200)->raw;
        self::assertTrue(Schema::allows('record', $file));
        self::assertSame($points, (new SecondRecorder($file))->figures()['points']);
    }

    public function test_a_rule_is_refused_at_the_part_that_cannot_be(): void
    {
        $this->workDone(2, 1, 1);
        $this->asTeacher();
        $refused = $this->state([
            ['kind' => 'wrote', 'atLeast' => 1, 'points' => 1],
            ['kind' => 'inPlace', 'atLeast' => 101, 'points' => 1],
        ])->is(422);
        self::assertSame('parts.1.atLeast', $refused->text('errors.0.field'));
        $this->state(array_fill(0, 9, ['kind' => 'wrote', 'atLeast' => 1, 'points' => 1]))->is(422);
        $this->state([['kind' => 'wrote', 'atLeast' => 1, 'points' => 0]])->is(422);
    }

    public function test_points_as_results_of_a_gradebook(): void
    {
        $this->workDone(2, 1, 1);
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $this->state([['kind' => 'inPlace', 'atLeast' => 1, 'points' => 5]])->is(204);
        $zip = Zip::open($this->ask('GET', "/api/staff/lessons/{$this->id}/record.oneroster")->is(200)->raw, 1_000_000);
        $rows = static fn (string $name): array => array_map(
            static fn (string $line): array => array_map(strval(...), str_getcsv($line, ',', '"', '')),
            explode("\r\n", trim((string) $zip->file($name))),
        );
        $line = array_combine($rows('lineItems.csv')[0], $rows('lineItems.csv')[1]);
        self::assertSame('5.0', $line['resultValueMax']);
        self::assertSame($this->lesson->text('classId'), $line['classSourcedId']);
        $results = $rows('results.csv');
        self::assertCount(3, $results);
        $users = array_column(\array_slice($rows('users.csv'), 1), 0);
        foreach (\array_slice($results, 1) as $result) {
            $result = array_combine($results[0], $result);
            self::assertSame($line['sourcedId'], $result['lineItemSourcedId']);
            self::assertContains($result['studentSourcedId'], $users);
        }
        self::assertContains(['file.results', 'bulk'], $rows('manifest.csv'));
        self::assertContains(['file.demographics', 'absent'], $rows('manifest.csv'));
    }

    public function test_on_paper_it_takes_two_pages_for_a_class_and_more_for_many(): void
    {
        $tokens = $this->workDone(4, 2, 4);
        $this->write($tokens[0], $this->copyOf($tokens[0]), 'decision', 'Behind the yard.');
        $this->everybodyBack();
        $pdf = $this->ask('GET', "/api/staff/lessons/{$this->id}/record.pdf")->is(200)->raw;
        self::assertStringStartsWith('%PDF', $pdf);
        self::assertSame(2, preg_match_all('~/Type /Page\b(?!s)~', $pdf));
    }

    public function test_the_work_of_a_group_is_seen_as_it_was_at_a_moment(): void
    {
        $tokens = $this->workDone(2, 1, 2);
        $copy = $this->copyOf($tokens[0]);
        $this->write($tokens[0], $copy, 'decision', 'Behind the yard.');
        $this->write($tokens[1], $copy, 'decision', 'In front of it.', 'Behind the yard.');
        $this->everybodyBack();
        $this->db()->executeStatement('UPDATE slot_revision SET at = 1000 WHERE copy_id = ? AND revision > 0', [$copy]);
        $group = $this->lesson->text('floor.groups.0.id');
        $texts = function (int $at) use ($group): array {
            $work = $this->ask('GET', "/api/staff/lessons/{$this->id}/record/work/{$group}/{$at}")->is(200);

            return array_column($work->list('pieces.0.answers'), 'text');
        };
        self::assertSame([], $texts(999));
        self::assertSame(['Behind the yard.'], $texts(1_000));
        self::assertSame(['In front of it.'], $texts(4_000_000_000_000));
        $this->asStudent($tokens[0]);
        $this->ask('GET', "/api/staff/lessons/{$this->id}/record/work/{$group}/5")->is(401);
        $other = $this->newTeacher('otto@larkmouth.example');
        $this->asTeacher($other);
        $this->ask('GET', "/api/staff/lessons/{$this->id}/record/work/{$group}/5")->is(404);
    }

    public function test_what_was_counted_when_it_was_written_is_what_the_texts_say(): void
    {
        $tokens = $this->workDone(3, 1, 3);
        $copy = $this->copyOf($tokens[0]);
        $dice = new Randomizer(new Xoshiro256StarStar(7));
        $words = ['quay ', 'wall ', 'behind ', 'the yard. ', 'Water é ', '😀 '];
        $before = '';
        for ($i = 0; $i < 25; ++$i) {
            $text = implode('', array_map(
                static fn (): string => $words[$dice->getInt(0, 5)],
                range(1, $dice->getInt(1, 9)),
            ));
            $text = 0 === $i % 7 ? '' : $text;
            $this->write($tokens[$dice->getInt(0, 2)], $copy, 'decision', $text, $before);
            $before = $text;
        }
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $record = $this->ask('GET', "/api/staff/lessons/{$this->id}/record")->is(200);
        self::assertGreaterThan(5, $this->db()->fetchOne('SELECT COUNT(*) FROM slot_revision WHERE put IS NOT NULL'));
        $this->db()->executeStatement('UPDATE slot_revision SET put = NULL, filled = NULL');
        self::assertSame(
            [$record->at('students'), $record->at('groups')],
            [
                ($again = $this->ask('GET', "/api/staff/lessons/{$this->id}/record"))->at('students'),
                $again->at('groups'),
            ],
        );
    }

    public function test_a_group_of_another_lesson_shows_nothing(): void
    {
        $this->workDone(2, 1, 2);
        $group = $this->lesson->text('floor.groups.0.id');
        $other = $this->readyLesson(2, 1);
        $this->command($other->text('id'), 'sendOut')->is(200);
        $this->asTeacher();
        $work = $this->ask('GET', '/api/staff/lessons/'.$other->text('id')."/record/work/{$group}/4000000000000");
        self::assertSame([], $work->is(200)->list('pieces'));
    }

    public function test_it_is_not_for_students_or_other_teachers(): void
    {
        $tokens = $this->workDone(2, 1, 1);
        $this->asStudent($tokens[0]);
        $this->ask('GET', "/api/staff/lessons/{$this->id}/record")->is(401);
        $other = $this->newTeacher('otto@larkmouth.example');
        $this->asTeacher($other);
        $this->ask('GET', "/api/staff/lessons/{$this->id}/record")->is(404);
        $this->ask('GET', "/api/staff/lessons/{$this->id}/record.json")->is(404);
    }

    private function record(): Json
    {
        return $this->ask('GET', "/api/staff/lessons/{$this->id}/record")->is(200);
    }

    /**
     * @return list<mixed>
     */
    private function points(): array
    {
        return $this->record()->list('points');
    }

    private function correct(string $student, string $figure, ?int $value): Json
    {
        return $this->ask('PUT', "/api/staff/lessons/{$this->id}/record/figures", [
            'student' => $student,
            'figure' => $figure,
            'value' => $value,
        ]);
    }

    /**
     * @param list<array<string, mixed>> $parts
     */
    private function state(array $parts): Json
    {
        return $this->ask('PUT', "/api/staff/lessons/{$this->id}/record/points", ['parts' => $parts]);
    }

    /**
     * @return array<array-key, mixed>
     */
    private function student(Json $record, string $id): array
    {
        $student = array_column($record->list('students'), null, 'student')[$id] ?? null;

        return \is_array($student) ? $student : self::fail('no such student');
    }

    private function groupOf(int $student): string
    {
        foreach ([0, 1] as $i) {
            if (
                \in_array(
                    $this->lesson->text("students.{$student}.id"),
                    $this->lesson->texts("floor.groups.{$i}.students"),
                    true,
                )
            ) {
                return $this->lesson->text("floor.groups.{$i}.id");
            }
        }
        self::fail('no such group');
    }

    private function mateOf(int $student): int
    {
        foreach ([1, 2, 3] as $i) {
            if ($this->groupOf($i) === $this->groupOf($student)) {
                return $i;
            }
        }
        self::fail('nobody else sits there');
    }
}
