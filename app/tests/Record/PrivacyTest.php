<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Record;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Roster\Erasure\ClassEnds;
use FreshHuddle\App\Tests\Debrief\DebriefTestCase;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Outside;
use Symfony\Component\Mailer\Mailer;
use Symfony\Component\Mailer\Transport;

/**
 * A student asks what is kept about them, or to be forgotten; a class comes to its end.
 */
final class PrivacyTest extends DebriefTestCase
{
    private const NAME = 'Zenobia Quillfeather';
    private string $student;
    /** @var list<string> */
    private array $tokens;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(4, 2);
        $this->id = $this->lesson->text('id');
        $this->student = $this->lesson->text('students.0.id');
        $this->ask('PATCH', "/api/staff/students/{$this->student}", [
            'name' => self::NAME,
            'email' => 'zenobia@larkmouth.example',
            'schoolId' => 'Z-4711',
        ])->is(204);
        $this->lesson = $this->ask('GET', "/api/staff/lessons/{$this->id}")->is(200);
        $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/rules', [
            'kind' => 'apart',
            'students' => [$this->student, $this->lesson->text('students.1.id')],
        ])->is(200);
        $ids = array_column($this->lesson->list('students'), 'id');
        $at = array_search($this->student, $ids, true);
        [$ids[0], $ids[$at]] = [$this->student, $ids[0]];
        foreach ($ids as $id) {
            $this->tokens[] = $this->join($this->lesson, \is_string($id) ? $id : '');
        }
        $this->setRound($this->id, ['lookSeconds' => 0, 'instructions' => 'Ask '.self::NAME.' first.']);
        $this->command($this->id, 'sendOut')->is(200);
        $this->happen();
    }

    public function test_everything_about_one_student_is_in_one_file(): void
    {
        $zip = Zip::open($this->ask('GET', "/api/staff/students/{$this->student}/everything")->is(200)->raw, 10_000_000);
        $json = (string) $zip->file('everything.json');
        foreach ([self::NAME, 'zenobia@larkmouth.example', 'Z-4711', 'The cellars are full', 'callMade', 'Yes, by then.'] as $text) {
            self::assertStringContainsString($text, $json);
        }
        $other = $this->newTeacher('otto@larkmouth.example');
        $this->asTeacher($other);
        $this->ask('GET', "/api/staff/students/{$this->student}/everything")->is(404);
        $this->asStudent($this->tokens[0]);
        $this->ask('GET', "/api/staff/students/{$this->student}/everything")->is(401);
    }

    public function test_an_erased_student_is_found_in_no_table_and_no_file(): void
    {
        $digest = $this->db()->fetchOne('SELECT m.digest FROM media m JOIN copy_media u ON u.media_id = m.id');
        self::assertIsString($digest);
        self::assertNotSame([], $this->found(), 'the search finds what is there');
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $this->asTeacher();
        $this->ask('POST', "/api/staff/students/{$this->student}/erase", ['name' => 'somebody else'])->is(422);
        $this->ask('POST', "/api/staff/students/{$this->student}/erase", ['name' => self::NAME])->is(204);
        self::assertSame([], $this->found());
        try {
            $this->service(FileStore::class)->get($digest);
            self::fail('their picture is gone');
        } catch (FileAway $e) {
            self::assertNotSame('', $e->getMessage());
        }
        self::assertSame(0, $this->db()->fetchOne('SELECT COUNT(*) FROM media'));
    }

    public function test_in_papers_of_the_group_they_become_a_former_member_and_the_rest_stays(): void
    {
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $before = $this->ask('GET', "/api/staff/lessons/{$this->id}/record")->is(200);
        $this->ask('POST', "/api/staff/students/{$this->student}/erase", ['name' => self::NAME])->is(204);
        $texts = $this->db()->fetchFirstColumn('SELECT text FROM slot_answer');
        self::assertContains('We decide with a former member: behind the yard.', $texts);
        $record = $this->ask('GET', "/api/staff/lessons/{$this->id}/record")->is(200);
        self::assertCount(3, $record->list('students'));
        self::assertSame(
            array_column($before->list('groups'), 'calls'),
            array_column($record->list('groups'), 'calls'),
            'the group did ask for help',
        );
        $this->ask('GET', "/api/staff/lessons/{$this->id}")->is(200);
        $this->ask('GET', '/api/staff/classes/'.$this->lesson->text('classId').'/term')->is(200);
        $this->ask('GET', "/api/staff/rounds/{$this->lesson->text('round.id')}/sums")->is(200);
        $this->asStudent($this->tokens[0]);
        $this->ask('GET', '/api/student/now')->is(401);
    }

    public function test_in_the_middle_of_a_lesson_the_others_go_on(): void
    {
        $this->asTeacher();
        $this->ask('POST', "/api/staff/students/{$this->student}/erase", ['name' => self::NAME])->is(204);
        $this->asStudent($this->tokens[1]);
        $this->ask('GET', '/api/student/now')->is(200);
        $this->asTeacher();
        $lesson = $this->ask('GET', "/api/staff/lessons/{$this->id}")->is(200);
        self::assertCount(3, $lesson->list('students'));
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/undo', [
            'basedOn' => $lesson->int('floor.step'),
        ]);
        self::assertSame([], $this->found(), 'undo brings nobody back');
    }

    public function test_only_the_owner_erases(): void
    {
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));
        $this->ask('POST', "/api/staff/students/{$this->student}/erase", ['name' => self::NAME])->is(404);
        $this->ask('GET', $this->privacy())->is(404);
        $this->ask('PUT', $this->privacy(), ['endsOn' => null])->is(404);
    }

    public function test_who_has_left_the_list_can_be_erased_too(): void
    {
        $this->asTeacher();
        $this->ask('DELETE', "/api/staff/students/{$this->student}")->is(204);
        $privacy = $this->ask('GET', $this->privacy())->is(200);
        self::assertSame([self::NAME], array_column($privacy->list('former'), 'name'));
        $this->ask('POST', "/api/staff/students/{$this->student}/erase", ['name' => self::NAME])->is(204);
        self::assertSame([], $this->ask('GET', $this->privacy())->is(200)->list('former'));
        self::assertSame([], $this->found());
    }

    public function test_a_class_ends_on_its_day_and_not_before_it_was_announced(): void
    {
        $this->asTeacher();
        $this->everybodyBack();
        $this->command($this->id, 'end')->is(200);
        $soon = (new \DateTimeImmutable('+20 days'))->format('Y-m-d');
        self::assertSame('endsOn', $this->ask('PUT', $this->privacy(), ['endsOn' => $soon])->is(422)->text('errors.0.field'));
        $this->ask('PUT', $this->privacy(), ['endsOn' => 'tomorrow'])->is(422);
        $day = $this->ask('GET', $this->privacy())->text('earliest');
        self::assertSame($day, $this->ask('PUT', $this->privacy(), ['endsOn' => $day])->is(200)->text('endsOn'));
        $this->service(ClassEnds::class)->forgetOld();
        self::assertNull($this->ask('GET', $this->privacy())->at('announcedAt'), 'that is more than four weeks ahead');
        $class = $this->lesson->text('classId');
        $this->db()->executeStatement('UPDATE school_class SET ends_on = current_date + 27 WHERE id = ?', [$class]);
        $this->anew();
        self::assertNotNull($this->ask('GET', $this->privacy())->at('announcedAt'));
        self::getContainer()->set('mailer.mailer', new Mailer(Transport::fromDsn(Outside::setting('MAILER_DSN'))));
        $this->work();
        self::assertSame(0, $this->db()->fetchOne("SELECT COUNT(*) FROM due_task WHERE kind = 'mailClassEnd'"));
        self::assertSame(0, $this->db()->fetchOne('SELECT COUNT(*) FROM failed_task'));
        self::assertStringContainsString(
            'will be erased on '.(new \DateTimeImmutable('+27 days'))->format('F j, Y'),
            Outside::mail('ines@larkmouth.example')[0]['subject'] ?? '',
            'a letter to its teacher',
        );
        $this->db()->executeStatement('UPDATE school_class SET ends_on = current_date - 1 WHERE id = ?', [$class]);
        $this->anew();
        $this->ask('GET', $this->privacy())->is(200);
        $this->db()->executeStatement('UPDATE school_class SET end_announced_at = 1000 WHERE id = ?', [$class]);
        $this->anew();
        $this->ask('GET', $this->privacy())->is(404);
        self::assertSame([], $this->found());
        foreach (['lesson', 'student', 'grouping', 'work_copy', 'live_event', 'slot_answer', 'media'] as $table) {
            self::assertSame(0, $this->db()->fetchOne("SELECT COUNT(*) FROM {$table}"), $table);
        }
    }

    private function anew(): void
    {
        $this->em()->clear();
        $this->service(ClassEnds::class)->forgetOld();
    }

    /**
     * What the student does in a lesson, and what others say of them.
     */
    private function happen(): void
    {
        $own = $this->copyOf($this->tokens[0]);
        $this->write($this->tokens[0], $own, 'noticed', 'The cellars are full of water.');
        $this->write($this->tokens[0], $own, 'decision', 'We decide with Zenobia Quillfeather: behind the yard.');
        $this->asStudent($this->tokens[0]);
        $this->ask('PUT', '/api/student/call', ['about' => 'stuck'])->is(200);
        $this->ask('POST', '/api/student/sign');
        $this->asTeacher();
        $this->ask('POST', "/api/staff/copies/{$own}/notes", [
            'slot' => 'decision',
            'text' => 'Does zenobia quillfeather agree?',
        ]);
        $this->ask('POST', "/api/staff/copies/{$own}/notes", [
            'slot' => 'noticed',
            'owner' => $this->student,
            'text' => 'Which cellars?',
        ]);
        $media = $this->ask('POST', '/api/staff/media', ['content' => base64_encode(Files::picture())])->text('id');
        $this->db()->executeStatement('INSERT INTO copy_media (copy_id, media_id, by_id) VALUES (?, ?, ?)', [
            $own,
            $media,
            $this->student,
        ]);
        $this->give(['kind' => 'say', 'text' => 'Zenobia Quillfeather has the map.']);
        $question = $this->debrief('POST', '/questions', ['kind' => 'words', 'text' => 'Built by when?'])
            ->text('asked.question.id');
        $this->asStudent($this->tokens[0]);
        $this->ask('PUT', "/api/student/questions/{$question}/answer", ['answer' => 'Yes, by then.'])->is(200);
        $this->asTeacher();
        $this->debrief('POST', '/shown', ['copy' => $own])->is(200);
        $this->debrief('PATCH', '/shown', ['frozen' => true])->is(200);
    }

    /**
     * @return list<string> where the id, the name or the address of the student stands: table and column
     */
    private function found(): array
    {
        $found = [];
        /** @var list<array{string, string}> $columns */
        $columns = $this->db()->fetchAllNumeric(
            "SELECT c.table_name, c.column_name FROM information_schema.columns c
             JOIN information_schema.tables t ON t.table_name = c.table_name AND t.table_schema = 'public'
             WHERE c.table_schema = 'public' AND t.table_type = 'BASE TABLE'
               AND c.data_type IN ('uuid', 'text', 'character varying', 'jsonb', 'character')",
        );
        foreach ($columns as [$table, $column]) {
            foreach ([$this->student, self::NAME, 'zenobia@', 'Z-4711'] as $what) {
                $is = $this->db()->fetchOne(
                    \sprintf('SELECT COUNT(*) FROM "%s" WHERE "%s"::text ILIKE ?', $table, $column),
                    ["%{$what}%"],
                );
                if ($is > 0) {
                    $found[] = "{$table}.{$column}: {$what}";
                }
            }
        }

        return $found;
    }

    private function privacy(): string
    {
        return '/api/staff/classes/'.$this->lesson->text('classId').'/privacy';
    }
}
