<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\LessonFile\LessonArchive;
use FreshHuddle\App\Materials\LessonFile\LessonPlanReader;
use FreshHuddle\App\Tests\Formats\Schema;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Tests\Support\Mutations;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A whole lesson as one file: out of one class, into another teacher's.
 */
final class LessonFileTest extends AppTestCase
{
    private const MUTATIONS = 10_000;
    /** So many of them are sent to the application itself. */
    private const SENT = 40;

    private Json $lesson;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        $order = $this->ask('PUT', '/api/staff/lessons/'.$this->lesson->text('id').'/running-order', [
            'basedOn' => 0,
            'segments' => [
                ['kind' => 'briefing', 'minutes' => 5],
                ['id' => $this->lesson->text('round.segmentId'), 'kind' => 'round', 'minutes' => 20],
                ['kind' => 'alone', 'minutes' => 5],
            ],
        ])->is(200);
        $ticket = $this->ask(
            'POST',
            '/api/staff/originals',
            self::original('Exit ticket', [['id' => 'one', 'kind' => 'each', 'text' => 'One thing you learned?']]),
        )
            ->is(200)
            ->text('id');
        $this->ask('POST', "/api/staff/segments/{$order->text('segments.2.id')}/work", ['original' => $ticket])->is(204);
        $this->setRound($this->lesson->text('id'), [
            'instructions' => 'Decide where the wall goes.',
            'lookSeconds' => 7,
            'notices' => [['beforeEnd' => true, 'seconds' => 120, 'text' => 'Two minutes left.']],
        ])->is(200);
    }

    public function test_another_teacher_opens_it_for_a_class_of_their_own(): void
    {
        $file = $this->file();
        $class = $this->elsewhere();
        $opened = $this->open($class, $file)->is(200)->text('id');
        $lesson = $this->ask('GET', "/api/staff/lessons/{$opened}")->is(200);
        self::assertSame($this->lesson->text('title'), $lesson->text('title'));
        self::assertSame(['briefing', 'round', 'alone'], array_column($lesson->list('order.segments'), 'kind'));
        self::assertSame('Decide where the wall goes.', $lesson->text('order.segments.1.instructions'));
        self::assertSame(
            array_column($this->lesson->list('floor.groups'), 'name'),
            array_column($lesson->list('floor.groups'), 'name'),
            'groups are called as they were',
        );
        self::assertCount(2, $lesson->list('floor.groups.0.students'));
        self::assertCount(2, $lesson->list('floor.groups.1.students'));
        self::assertSame(['District sheet', 'Exit ticket'], array_column($lesson->list('handOut'), 'title'));
        self::assertSame('Exit ticket', $lesson->text('alone.0.title'));
        self::assertSame($lesson->text('order.segments.2.id'), $lesson->text('alone.0.segment'));
        $again = json_decode(self::plan($this->fileOf($opened)), true, 64, \JSON_THROW_ON_ERROR);
        $first = json_decode(self::plan($file), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($again);
        self::assertIsArray($first);
        self::assertSame($first['segments'], $again['segments'], 'what was opened is saved as the same');
        self::assertSame($first['originals'], $again['originals']);
    }

    public function test_no_student_is_in_it_and_it_follows_its_schema(): void
    {
        $plan = self::plan($this->file());
        self::assertTrue(Schema::allows('lesson', $plan));
        foreach (array_keys($this->lesson->list('students')) as $i) {
            self::assertStringNotContainsString($this->lesson->text("students.{$i}.name"), $plan);
            self::assertStringNotContainsString($this->lesson->text("students.{$i}.id"), $plan);
        }
    }

    public function test_pictures_go_with_it(): void
    {
        $picture = base64_encode(Files::picture());
        $media = $this->ask('POST', '/api/staff/media', ['content' => $picture])->is(200)->text('id');
        $this->ask(
            'POST',
            "/api/staff/rounds/{$this->lesson->text('round.id')}/originals",
            self::original('With a picture', [
                ['id' => 'bend', 'kind' => 'picture', 'text' => 'The bend', 'settings' => ['media' => $media]],
            ]),
        )->is(200);
        $file = $this->file();
        $class = $this->elsewhere();
        $opened = $this->open($class, $file)->is(200)->text('id');
        $kept = $this->db()->fetchAllKeyValue('SELECT teacher_id, id FROM media');
        self::assertCount(2, $kept, 'each teacher has it in a cupboard of their own');
        self::assertCount(3, $this->ask('GET', "/api/staff/lessons/{$opened}")->list('handOut'));
    }

    public function test_it_is_for_staff_of_the_class_only(): void
    {
        $file = $this->file();
        $mine = $this->lesson->text('classId');
        $this->elsewhere();
        $this->ask('GET', $this->path())->is(404);
        $this->open($mine, $file)->is(404);
    }

    public function test_what_is_no_lesson_file_is_refused_in_one_line(): void
    {
        $class = $this->lesson->text('classId');
        $files = ['', 'no zip at all', Zip::fromFiles(['other.json' => '{}']), Zip::fromFiles(['plan.json' => '[]'])];
        foreach ($files as $bytes) {
            self::assertSame('package', $this->open($class, $bytes)->is(422)->text('errors.0.field'));
        }
        $this->ask('POST', "/api/staff/classes/{$class}/lessons/file", ['package' => '!!!'])->is(422);
    }

    public function test_whatever_stands_wherever_it_is_read_or_refused_at_a_place(): void
    {
        $reader = self::getContainer()->get(LessonPlanReader::class);
        self::assertInstanceOf(LessonPlanReader::class, $reader);
        $file = $this->file();
        $plan = self::plan($file);
        $chance = new Randomizer(new Xoshiro256StarStar(2_026));
        $read = $refused = 0;
        for ($try = 0; $try < self::MUTATIONS; ++$try) {
            try {
                $reader->read(
                    0 === $try % 4
                        ? LessonArchive::open(Mutations::bytes($file, $chance))->plan
                        : Mutations::json($plan, $chance, 1 + $try % 3),
                );
                ++$read;
            } catch (MaterialsRefused $e) {
                ++$refused;
                self::assertSame('package', $e->field);
            }
        }
        self::assertGreaterThan(self::MUTATIONS / 50, $read);
        self::assertGreaterThan(self::MUTATIONS / 5, $refused);
    }

    public function test_a_file_is_opened_whole_or_not_at_all(): void
    {
        // Nobody is seated: groups are looked for in another test.
        $this->lesson = $this->newLesson(2);
        foreach (['first', 'second'] as $slot) {
            $this->ask(
                'POST',
                "/api/staff/rounds/{$this->lesson->text('round.id')}/originals",
                self::original($slot, [['id' => $slot, 'kind' => 'each', 'text' => 'And?']]),
            )->is(200);
        }
        $class = $this->lesson->text('classId');
        $plan = self::plan($this->file());
        $chance = new Randomizer(new Xoshiro256StarStar(7));
        $opened = 0;
        for ($try = 0; $try < self::SENT; ++$try) {
            $before = $this->kept();
            $sent = Mutations::json($plan, $chance, 1);
            $answer = $this->open($class, Zip::fromFiles(['plan.json' => $sent]));
            self::assertContains($answer->status, [200, 422], $answer->raw);
            if (422 === $answer->status) {
                self::assertSame($before, $this->kept(), $sent);
            } else {
                ++$opened;
                self::assertNotSame($before, $this->kept());
            }
        }
        self::assertGreaterThan(0, $opened);
        $before = $this->kept();
        $sent = str_replace('"id": "second"', '"id": ""', $plan);
        $this->open($class, Zip::fromFiles(['plan.json' => $sent]))->is(422);
        self::assertSame($before, $this->kept(), 'the first worksheet was fine, and is not kept');
    }

    /**
     * @return array<mixed> how much there is of all that a file makes
     */
    private function kept(): array
    {
        return (array) $this->db()->fetchNumeric(
            'SELECT (SELECT COUNT(*) FROM lesson), (SELECT COUNT(*) FROM segment), (SELECT COUNT(*) FROM original),
                (SELECT COUNT(*) FROM grouping), (SELECT COUNT(*) FROM hand_out)',
        );
    }

    /**
     * @return string id of a class of another teacher, who is signed in from then on
     */
    private function elsewhere(): string
    {
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));

        return $this->ask('POST', '/api/staff/classes', ['name' => '8B', 'names' => "Ida\nJon\nKai\nLea"])
            ->is(200)
            ->text('id');
    }

    private function path(): string
    {
        return '/api/staff/lessons/'.$this->lesson->text('id').'/file';
    }

    private function file(): string
    {
        return $this->ask('GET', $this->path())->is(200)->raw;
    }

    private function fileOf(string $lesson): string
    {
        return $this->ask('GET', "/api/staff/lessons/{$lesson}/file")->is(200)->raw;
    }

    private static function plan(string $file): string
    {
        return (string) Zip::open($file, 1_000_000)->file('plan.json');
    }

    private function open(string $class, string $bytes): Json
    {
        return $this->ask('POST', "/api/staff/classes/{$class}/lessons/file", ['package' => base64_encode($bytes)]);
    }
}
