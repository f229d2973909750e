<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Record;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Record\ClassFile\ClassFileReader;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Tests\Debrief\DebriefTestCase;
use FreshHuddle\App\Tests\Formats\Schema;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Tests\Support\Mutations;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A whole class moves house: names, rules, who has worked with whom, and the records of its lessons.
 */
final class ClassFileTest extends DebriefTestCase
{
    private const MUTATIONS = 10_000;
    /** So many of them are sent to the application itself. */
    private const SENT = 60;

    private string $classId;

    protected function setUp(): void
    {
        parent::setUp();
        $tokens = $this->workDone(4, 2, 3);
        $this->classId = $this->lesson->text('classId');
        $copy = $this->copyOf($tokens[0]);
        $this->write($tokens[0], $copy, 'decision', 'Behind the yard.');
        $this->asTeacher();
        $this->ask('POST', "/api/staff/classes/{$this->classId}/rules", [
            'kind' => 'apart',
            'students' => [$this->lesson->text('students.0.id'), $this->lesson->text('students.1.id')],
        ])->is(200);
        $this->ask('PATCH', '/api/staff/students/'.$this->lesson->text('students.0.id'), [
            'tags' => ['lead'],
            'schoolId' => 'A-1',
            'attributes' => [['name' => 'Level', 'value' => '3']],
        ])->is(204);
        $this->everybodyBack();
        $this->debrief('POST', '/calls', ['last' => 0])->is(200);
        $this->command($this->id, 'end')->is(200);
    }

    public function test_it_moves_in_with_everything_and_records_say_the_same(): void
    {
        $there = $this->ask('GET', "/api/staff/lessons/{$this->id}/record")->is(200);
        $termThere = $this->ask('GET', "/api/staff/classes/{$this->classId}/term")->is(200);
        $file = $this->file();
        self::assertTrue(Schema::allows('class-file', self::plan($file)));
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));
        $moved = $this->open($file)->is(200)->text('id');
        $class = $this->ask('GET', "/api/staff/classes/{$moved}")->is(200);
        self::assertSame(
            array_column($this->lesson->list('students'), 'name'),
            array_column($class->list('students'), 'name'),
        );
        self::assertSame(['lead'], $class->list('students.0.tags'));
        self::assertCount(1, $class->list('rules'));
        $term = $this->ask('GET', "/api/staff/classes/{$moved}/term")->is(200);
        self::assertSame($termThere->list('together'), $term->list('together'), 'who has worked with whom');
        self::assertSame(
            array_column($termThere->list('students'), 'called'),
            array_column($term->list('students'), 'called'),
        );
        self::assertSame(
            array_column($termThere->list('students'), 'there'),
            array_column($term->list('students'), 'there'),
        );
        $lesson = $term->text('lessons.0.id');
        $here = $this->ask('GET', "/api/staff/lessons/{$lesson}/record")->is(200);
        self::assertSame($there->list('says'), $here->list('says'));
        foreach (['groupMs', 'inPlaceMs', 'put', 'ofGroup', 'calledOn', 'strip'] as $figure) {
            self::assertSame(
                array_column($there->list('students'), $figure, 'name'),
                array_column($here->list('students'), $figure, 'name'),
                $figure,
            );
        }
        $this->ask('GET', "/api/staff/lessons/{$lesson}")->is(200);
        $this->ask('GET', "/api/staff/lessons/{$lesson}/record.pdf")->is(200);
        self::assertTrue(Schema::allows('class-file', self::plan($this->fileOf($moved))), 'it can move on');
    }

    public function test_make_groups_counts_its_history(): void
    {
        $file = $this->file();
        $moved = $this->open($file)->is(200)->text('id');
        $grouping = $this->ask('POST', "/api/staff/classes/{$moved}/groupings", ['name' => 'New'])->is(200)->text('id');
        self::assertCount(1, $this->ask('GET', "/api/staff/groupings/{$grouping}")->is(200)->list('uses'));
    }

    public function test_a_student_is_erased_from_what_came_along_too(): void
    {
        $moved = $this->open($this->file())->is(200)->text('id');
        $class = $this->ask('GET', "/api/staff/classes/{$moved}")->is(200);
        [$id, $name] = [$class->text('students.0.id'), $class->text('students.0.name')];
        $this->ask('POST', "/api/staff/students/{$id}/erase", ['name' => $name])->is(204);
        foreach (['kept_record' => 'file', 'earlier_groups' => 'groups_then'] as $table => $column) {
            self::assertSame(
                0,
                $this->db()->fetchOne("SELECT COUNT(*) FROM {$table} WHERE {$column}::text LIKE ?", ["%{$id}%"]),
            );
        }
        $lesson = $this->ask('GET', "/api/staff/classes/{$moved}/term")->is(200)->text('lessons.0.id');
        self::assertCount(3, $this->ask('GET', "/api/staff/lessons/{$lesson}/record")->is(200)->list('students'));
    }

    public function test_only_the_owner_saves_it(): void
    {
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));
        $this->ask('GET', "/api/staff/classes/{$this->classId}/file")->is(404);
        $this->asNobody();
        $this->ask('POST', '/api/staff/classes/file', ['package' => ''])->is(401);
    }

    public function test_a_record_that_would_cost_more_than_its_size_is_refused(): void
    {
        $record = (string) Zip::open($this->file(), 10_000_000)->file('records/0001.json');
        // Names that fall on one place of a table: each costs as many steps as there are.
        $colliding = json_encode(
            array_fill_keys(array_map(static fn (int $i): string => (string) ($i * 65_536), range(1, 100)), 1),
            \JSON_THROW_ON_ERROR,
        );
        $bad = [
            preg_replace('~^\{~', '{"x":'.$colliding.',', $record) ?? '',
            $record.str_repeat(' ', 20_000_000),
            str_repeat('[', 100).str_repeat(']', 100),
        ];
        foreach ($bad as $text) {
            try {
                ClassFileReader::readRecord($text, 'records/0001.json', []);
                self::fail(mb_substr($text, 0, 60).' was read.');
            } catch (RecordRefused $e) {
                self::assertSame('package', $e->field);
            }
        }
    }

    public function test_whatever_stands_wherever_it_is_read_or_refused(): void
    {
        $reader = $this->service(ClassFileReader::class);
        $file = $this->file();
        $zip = Zip::open($file, 10_000_000);
        [$plan, $record] = [self::plan($file), (string) $zip->file('records/0001.json')];
        $chance = new Randomizer(new Xoshiro256StarStar(2_026));
        $read = $refused = 0;
        for ($try = 0; $try < self::MUTATIONS; ++$try) {
            try {
                match ($try % 5) {
                    0, 1 => $reader->readPlan(Mutations::json($plan, $chance, 1 + $try % 3)),
                    2, 3 => ClassFileReader::readRecord(Mutations::json($record, $chance, 1 + $try % 3), 'r', []),
                    default => $reader->read(ClassFileReader::open(Mutations::bytes($file, $chance))),
                };
                ++$read;
            } catch (RecordRefused $e) {
                ++$refused;
                self::assertSame('package', $e->field);
            }
        }
        self::assertGreaterThan(self::MUTATIONS / 20, $read);
        self::assertGreaterThan(self::MUTATIONS / 5, $refused);
    }

    public function test_it_moves_in_whole_or_not_at_all(): void
    {
        $file = $this->file();
        $zip = Zip::open($file, 10_000_000);
        [$plan, $record] = [self::plan($file), (string) $zip->file('records/0001.json')];
        $chance = new Randomizer(new Xoshiro256StarStar(9));
        $opened = 0;
        for ($try = 0; $try < self::SENT; ++$try) {
            $before = $this->kept();
            $answer = $this->open(Zip::fromFiles([
                'class.json' => 0 === $try % 2 ? Mutations::json($plan, $chance, 1) : $plan,
                'records/0001.json' => 1 === $try % 2 ? Mutations::json($record, $chance, 1) : $record,
            ]));
            self::assertContains($answer->status, [200, 422], $answer->raw);
            if (422 === $answer->status) {
                self::assertSame($before, $this->kept());
            } else {
                ++$opened;
                $term = $this->ask('GET', '/api/staff/classes/'.$answer->text('id').'/term')->is(200);
                foreach (array_column($term->list('lessons'), 'id') as $lesson) {
                    \assert(\is_string($lesson));
                    $this->ask('GET', "/api/staff/lessons/{$lesson}/record")->is(200);
                }
            }
        }
        self::assertGreaterThan(5, $opened);
        $before = $this->kept();
        $this->open(Zip::fromFiles(['class.json' => $plan]))->is(422);
        self::assertSame($before, $this->kept(), 'a record is missing, and the names are not kept either');
    }

    /**
     * @return array<mixed> how much there is of all that a file makes
     */
    private function kept(): array
    {
        return (array) $this->db()->fetchNumeric(
            'SELECT (SELECT COUNT(*) FROM school_class), (SELECT COUNT(*) FROM student), (SELECT COUNT(*) FROM lesson),
                (SELECT COUNT(*) FROM kept_record), (SELECT COUNT(*) FROM earlier_groups),
                (SELECT COUNT(*) FROM class_rule)',
        );
    }

    private function file(): string
    {
        return $this->fileOf($this->classId);
    }

    private function fileOf(string $class): string
    {
        return $this->ask('GET', "/api/staff/classes/{$class}/file")->is(200)->raw;
    }

    private static function plan(string $file): string
    {
        return (string) Zip::open($file, 10_000_000)->file('class.json');
    }

    private function open(string $bytes): Json
    {
        return $this->ask('POST', '/api/staff/classes/file', ['package' => base64_encode($bytes)]);
    }
}
