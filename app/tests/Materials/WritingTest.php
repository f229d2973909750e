<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Worker\PurgeTaskHandler;
use FreshHuddle\App\Worker\Task;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/**
 * Students write in copies, alone and together.
 */
final class WritingTest extends AppTestCase
{
    private Json $lesson;
    private string $copy;
    private string $ada;
    private string $ben;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(4, 1);
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $this->copy = $this->lesson->text('copies.0.id');
        $this->ada = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->ben = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.1'));
    }

    public function test_two_who_write_at_once_both_keep_their_words(): void
    {
        $this->save($this->ada, '', 'The wall goes north.');
        $this->save($this->ben, 'The wall goes north.', 'The high wall goes north.');
        $merged = $this->save($this->ada, 'The wall goes north.', 'The wall goes north. It costs little.');
        self::assertSame('The high wall goes north. It costs little.', $merged->text('text'));
        self::assertSame(3, $merged->int('revision'));
    }

    public function test_a_save_that_is_sent_again_changes_nothing(): void
    {
        $id = Uuid::v4()->toRfc4122();
        $this->save($this->ada, '', 'One.', $id);
        $this->save($this->ben, 'One.', 'One. Two.');
        $again = $this->save($this->ada, '', 'One.', $id);
        self::assertSame(['One. Two.', 2], [$again->text('text'), $again->int('revision')]);
    }

    public function test_a_save_from_long_ago_still_arrives(): void
    {
        for ($i = 1, $text = ''; $i <= 5; ++$i) {
            $this->save($this->ben, $text, $text .= "Line {$i}.\n");
        }
        self::assertStringContainsString(
            'Kept while the line was down.',
            $this->save($this->ada, '', 'Kept while the line was down.')->text('text'),
        );
        self::assertStringContainsString('Line 5.', $this->read()->text('answers.0.text'));
    }

    public function test_a_save_that_comes_in_after_the_call_back_is_taken(): void
    {
        $this->command($this->lesson->text('id'), 'callBack', seconds: 0)->is(200);
        self::assertSame('late', $this->save($this->ada, '', 'late')->is(200)->text('text'));
    }

    public function test_the_history_keeps_what_each_had_written(): void
    {
        $this->save($this->ada, '', 'Ada wrote this.');
        $this->save($this->ben, 'Ada wrote this.', 'Ben wrote that.');
        self::assertSame(['Ada wrote this.'], $this->db()->fetchFirstColumn('SELECT text FROM slot_revision'));
    }

    public function test_anything_that_stood_there_can_be_brought_back_and_that_is_a_step_too(): void
    {
        $this->save($this->ada, '', 'Ada wrote this.');
        $this->save($this->ben, 'Ada wrote this.', 'Ben wrote that.');
        $path = "/slots/decision/history/{$this->copy}";
        $steps = $this->ask('GET', "/api/staff/copies/{$this->copy}{$path}")->is(200);
        self::assertSame(['Ada wrote this.', 'Ben wrote that.'], array_column((array) $steps->at(''), 'text'));
        $this->asStudent($this->ada);
        $back = $this->ask('POST', "/api/student/copies/{$this->copy}{$path}", [
            'revision' => $steps->int('0.revision'),
        ])->is(200);
        self::assertSame(['Ada wrote this.', 3], [$back->text('text'), $back->int('revision')]);
        $after = $this->ask('GET', "/api/student/copies/{$this->copy}{$path}")->is(200);
        self::assertSame(
            ['Ada wrote this.', 'Ben wrote that.', 'Ada wrote this.'],
            array_column((array) $after->at(''), 'text'),
        );
        $this->asTeacher();
        self::assertSame(
            'Ben wrote that.',
            $this->ask('POST', "/api/staff/copies/{$this->copy}{$path}", ['revision' => 2])
                ->is(200)
                ->text('text'),
            'by the teacher',
        );
        $this->ask('POST', "/api/staff/copies/{$this->copy}{$path}", ['revision' => 99])->is(404);
    }

    public function test_members_bring_nothing_back_after_the_round_and_nobody_in_anothers_column(): void
    {
        $this->asStudent($this->ben);
        $mine = $this->ask('GET', '/api/student/now')->text('id');
        $this->ask('PUT', "/api/student/copies/{$this->copy}/slots/noticed", [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => '',
            'text' => 'Ben sees mud.',
        ])->is(200);
        $this->asStudent($this->ada);
        self::assertSame(
            'Ben sees mud.',
            $this->ask('GET', "/api/student/copies/{$this->copy}/slots/noticed/history/{$mine}")
                ->is(200)
                ->text('0.text'),
        );
        $this->ask('POST', "/api/student/copies/{$this->copy}/slots/noticed/history/{$mine}", ['revision' => 1])->is(
            404,
        );
        $this->ask('POST', "/api/student/copies/{$this->copy}/slots/decision/history/{$mine}", ['revision' => 1])->is(
            404,
        );
        $this->save($this->ada, '', 'Ours.');
        $this->command($this->lesson->text('id'), 'callBack', seconds: 0)->is(200);
        $this->asStudent($this->ada);
        $this->ask('POST', "/api/student/copies/{$this->copy}/slots/decision/history/{$this->copy}", [
            'revision' => 1,
        ])->is(422);
    }

    #[DataProvider('hostile')]
    public function test_hostile_text_is_kept_as_text_or_refused(string $text, ?string $kept): void
    {
        $answer = $this->save($this->ada, '', $text, check: false);
        null === $kept ? $answer->is(422) : self::assertSame($kept, $answer->is(200)->text('text'));
    }

    /**
     * @return iterable<string, array{string, string|null}>
     */
    public static function hostile(): iterable
    {
        yield 'markup' => ['<script>alert(1)</script>', '<script>alert(1)</script>'];
        yield 'a null sign' => ["a\0b", 'ab'];
        yield 'line ends' => ["a\r\nb\rc", "a\nb\nc"];
        yield 'signs of four bytes' => ['🌊 stop', '🌊 stop'];
        yield 'SQL' => ["'; DROP TABLE student; --", "'; DROP TABLE student; --"];
        yield 'as long as may be' => [str_repeat('é', 20_000), str_repeat('é', 20_000)];
        yield 'too long' => [str_repeat('é', 20_001), null];
    }

    public function test_ids_of_saves_are_let_go_after_a_week(): void
    {
        $this->save($this->ada, '', 'New.');
        $this->db()->executeStatement('INSERT INTO slot_save (id, at, digest) VALUES (gen_random_uuid(), 1, \'\')');
        $again = $this->service(PurgeTaskHandler::class)->handle(new Task(1, PurgeTaskHandler::TIDY, 'all', [], 1, 0));
        self::assertGreaterThan(microtime(true) * 1000, $again);
        self::assertSame(1, $this->db()->fetchOne('SELECT COUNT(*) FROM slot_save'));
    }

    public function test_where_somebody_writes_is_for_the_others_and_nowhere_kept(): void
    {
        $this->asStudent($this->ada);
        $path = "/api/student/copies/{$this->copy}/slots/decision";
        $save = ['save' => Uuid::v4()->toRfc4122(), 'base' => '', 'text' => 'The wall', 'caret' => 3];
        self::assertNull($this->ask('PUT', $path, $save)->is(200)->at('caret'));
        self::assertNull($this->read()->at('answers.0.caret'));
        $this->asStudent($this->ada);
        $this->ask('PUT', $path, ['caret' => -1] + $save)->is(422);
    }

    public function test_only_a_real_save_id_is_taken(): void
    {
        $this->asStudent($this->ada);
        $this->ask('PUT', "/api/student/copies/{$this->copy}/slots/decision", [
            'save' => 'again',
            'base' => '',
            'text' => 'x',
        ])->is(422);
    }

    public function test_copies_are_made_once_and_brought_up_to_date_only_where_nobody_wrote(): void
    {
        $lesson = $this->readyLesson(4, 2);
        $round = $lesson->text('round.id');
        self::assertSame(
            [0, 2],
            [$this->ask('POST', "/api/staff/rounds/{$round}/copies")->int('made'), \count($lesson->list('copies'))],
        );
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($lesson->text('id'), 'sendOut');
        $student = $this->join($lesson, $lesson->text('floor.groups.0.students.0'));
        $this->asStudent($student);
        $this->ask('PUT', '/api/student/copies/'.$lesson->text('copies.0.id').'/slots/decision', [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => '',
            'text' => 'ours',
        ])->is(200);
        $this->asTeacher();
        $blocks = [['id' => 'decision', 'kind' => 'together', 'text' => 'What have you decided?']];
        $this->ask(
            'PUT',
            '/api/staff/originals/'.$lesson->text('handOut.0.original'),
            self::original('District sheet', $blocks, 1),
        )->is(200);
        self::assertSame(
            [0, 2],
            [
                $this->lessonNow($lesson)->int('handOut.0.missing'),
                $this->lessonNow($lesson)->int('handOut.0.outdated'),
            ],
        );
        $made = $this->ask('POST', "/api/staff/rounds/{$round}/copies")->is(200);
        self::assertSame([0, 1, 1], [$made->int('made'), $made->int('brought'), \count($made->list('kept'))]);
        $copies = $this->ask('GET', "/api/staff/rounds/{$round}/copies");
        self::assertSame(
            ['Our decision', 'What have you decided?'],
            [$copies->text('0.pages.0.blocks.2.text'), $copies->text('1.pages.0.blocks.0.text')],
        );
        self::assertSame('ours', $copies->text('0.answers.0.text'));
    }

    public function test_later_changes_are_shown_first_and_then_brought_to_copies_without_touching_what_was_written(): void
    {
        $this->save($this->ada, '', 'ours');
        $round = $this->lesson->text('round.id');
        $original = '/api/staff/originals/'.$this->lesson->text('handOut.0.original');
        $pages = [
            [
                'id' => 'page-1',
                'title' => '',
                'blocks' => [
                    ['id' => 'noticed', 'kind' => 'each', 'text' => 'What do you notice now?'],
                    ['id' => 'decision', 'kind' => 'together', 'text' => 'Our last decision'],
                ],
            ],
            [
                'id' => 'page-2',
                'title' => 'Tuesday',
                'blocks' => [['id' => 'more', 'kind' => 'together', 'text' => 'And now?']],
            ],
        ];
        $this->ask('PUT', $original, ['title' => 'District sheet', 'basedOn' => 1, 'pages' => $pages])->is(200);
        $path = "/api/staff/rounds/{$round}/copies/changes";
        $changes = $this->ask('GET', $path)->is(200);
        self::assertSame(
            [
                ['blockChanged', 'What do you notice now?', 1],
                ['bothShown', 'Our last decision', 1],
                ['pageAdded', 'Tuesday', 1],
                ['blockGone', 'Larkmouth floods.', 1],
            ],
            array_map(
                static fn (mixed $one): array => [
                    ((array) $one)['change'],
                    ((array) $one)['what'],
                    ((array) $one)['copies'],
                ],
                (array) $changes->at(''),
            ),
        );
        self::assertSame(1, $this->lessonNow($this->lesson)->int('handOut.0.outdated'));
        self::assertSame(1, $this->ask('POST', $path)->is(200)->int('brought'));
        $copy = $this->read();
        self::assertSame(
            ['Our last decision', 'Our decision'],
            [$copy->text('pages.0.blocks.1.text'), $copy->text('pages.0.blocks.2.text')],
        );
        self::assertSame(['Tuesday', 'ours'], [$copy->text('pages.1.title'), $copy->text('answers.0.text')]);
        $this->asTeacher();
        self::assertSame([], (array) $this->ask('GET', $path)->at(''));
        self::assertSame(0, $this->lessonNow($this->lesson)->int('handOut.0.outdated'));
    }

    public function test_an_original_that_is_not_finished_is_kept_and_not_copied(): void
    {
        $round = $this->lesson->text('round.id');
        $original = '/api/staff/originals/'.$this->lesson->text('handOut.0.original');
        $this->ask(
            'PUT',
            $original,
            self::original(
                'Begun',
                [
                    ['id' => 'a', 'kind' => 'each', 'text' => ''],
                    ['id' => 'b', 'kind' => 'text', 'text' => 'Half a para'],
                ],
                1,
            ),
        )->is(200);
        self::assertSame('Half a para', $this->ask('GET', $original)->text('pages.0.blocks.1.text'));
        $lacks = 'A question is empty. Say what students should write.';
        self::assertSame(
            $lacks,
            $this->ask('POST', "/api/staff/rounds/{$round}/copies")
                ->is(422)
                ->text('title'),
        );
        self::assertSame($lacks, $this->lessonNow($this->lesson)->text('handOut.0.unfinished'));
    }

    public function test_an_original_that_was_changed_elsewhere_is_not_overwritten(): void
    {
        $original = '/api/staff/originals/'.$this->lesson->text('handOut.0.original');
        $this->ask('PUT', $original, self::original('Mine', [], 1))->is(200);
        $this->ask('PUT', $original, self::original('Yours', [], 1))->is(409);
        $this->ask(
            'PUT',
            $original,
            self::original('Mine', [['id' => 'a', 'kind' => 'nonsense', 'text' => 'x']], 2),
        )->is(422);
    }

    public function test_a_slot_never_holds_more_than_it_can_and_can_always_be_shortened(): void
    {
        $long = rtrim(str_repeat('tide ', 4_000));
        $this->save($this->ada, '', $long);
        // Ben has not heard of it yet, and writes as much at the same time.
        $ebb = rtrim(str_repeat('ebb ', 4_900));
        $full = $this->save($this->ben, '', $ebb);
        self::assertSame(20_000, mb_strlen($full->text('text')));
        $kept = $this->db()->fetchFirstColumn('SELECT text FROM slot_revision WHERE copy_id = ? AND revision < 0', [
            $this->copy,
        ]);
        self::assertCount(1, $kept);
        self::assertIsString($kept[0]);
        self::assertGreaterThan(39_000, mb_strlen($kept[0]), 'what did not fit is in the history, whole');
        self::assertSame(4_900, substr_count($kept[0], 'ebb'));
        $now = $full->text('text');
        self::assertSame('short', $this->save($this->ada, $now, 'short')->text('text'));
        self::assertSame('', $this->save($this->ben, 'short', '')->text('text'));
    }

    public function test_what_does_not_fit_is_not_kept_without_end(): void
    {
        $statuses = [];
        $long = str_repeat('x', 20_000);
        $this->save($this->ada, '', $long);
        for ($i = 0; $i < 8; ++$i) {
            $answer = $this->save($this->ben, '', str_repeat(\chr(97 + $i), 19_000), null, false);
            $statuses[] = $answer->status;
            if (429 === $answer->status) {
                self::assertSame(
                    'text',
                    $answer->text('errors.0.field'),
                    'the page says that the place is full, and keeps what was typed',
                );
            }
        }
        self::assertSame([200 => 3, 429 => 5], array_count_values($statuses));
        self::assertSame(3, $this->db()->fetchOne('SELECT COUNT(*) FROM slot_revision WHERE revision < 0'));
    }

    public function test_a_device_cannot_save_a_hundred_times_a_second(): void
    {
        $statuses = [];
        for ($i = 0; $i < 40; ++$i) {
            $statuses[] = $this->save($this->ada, '', "x{$i}", null, false)->status;
        }
        self::assertContains(429, $statuses);
        self::assertSame(200, $this->save($this->ben, '', 'Ben is not slowed')->status);
    }

    public function test_the_next_lesson_goes_on_with_what_was_written_and_one_more_page(): void
    {
        $this->save($this->ada, '', 'North, we say.');
        $this->asTeacher();
        $original = $this->lesson->text('handOut.0.original');
        $blocks = [
            ['id' => 'brief', 'kind' => 'text', 'text' => 'Larkmouth floods.'],
            ['id' => 'noticed', 'kind' => 'each', 'text' => 'What do you notice?'],
            ['id' => 'decision', 'kind' => 'together', 'text' => 'Our decision'],
            ['id' => 'cost', 'kind' => 'together', 'text' => 'And what does it cost?'],
        ];
        $this->ask('PUT', "/api/staff/originals/{$original}", self::original('District sheet', $blocks, 1))->is(200);
        $class = $this->lesson->text('classId');
        $next = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'The day after',
            'minutes' => 50,
            'from' => $this->lesson->text('id'),
        ])->is(200);
        self::assertSame([1, 1], [$next->int('handOut.0.missing'), $next->int('handOut.0.written')]);
        $made = $this->ask('POST', '/api/staff/rounds/'.$next->text('round.id').'/copies')->is(200);
        self::assertSame(1, $made->int('made'));
        $now = $this->lessonNow($next);
        self::assertSame(
            [0, 0, 0],
            [$now->int('handOut.0.missing'), $now->int('handOut.0.written'), $now->int('handOut.0.outdated')],
        );
        $copies = $this->ask('GET', '/api/staff/rounds/'.$next->text('round.id').'/copies');
        self::assertSame(
            ['North, we say.', $now->text('copies.0.id')],
            [$copies->text('0.answers.0.text'), $copies->text('0.answers.0.owner')],
        );
        self::assertSame('And what does it cost?', $copies->text('0.pages.0.blocks.3.text'));

        $this->ask('POST', '/api/staff/lessons/'.$next->text('id').'/current', [
            'leaving' => $this->lesson->text('id'),
        ])->is(200);
        $this->setRound($next->text('id'), ['lookSeconds' => 0]);
        $this->command($next->text('id'), 'sendOut')->is(200);
        $this->asStudent($this->ada);
        $this->ask('PUT', '/api/student/copies/'.$now->text('copies.0.id').'/slots/decision', [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => 'North, we say.',
            'text' => 'North, we say again.',
        ])->is(200);
        $this->asTeacher();
        self::assertSame(
            'North, we say.',
            $this->ask('GET', '/api/staff/rounds/'.$this->lesson->text('round.id').'/copies')->text(
                '0.answers.0.text',
            ),
            'yesterday’s stays as it was',
        );
        self::assertSame(
            0,
            $this->ask('POST', '/api/staff/rounds/'.$next->text('round.id').'/copies')
                ->is(200)
                ->int('made'),
            'pressed twice it is done once',
        );

        $partners = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'New partners',
            'minutes' => 50,
            'from' => $this->lesson->text('id'),
            'groups' => 'newPartners',
        ])->is(200);
        self::assertSame(0, $partners->int('handOut.0.written'), 'another group begins anew');
    }

    private function lessonNow(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->is(200);
    }

    private function save(string $token, string $base, string $text, ?string $id = null, bool $check = true): Json
    {
        $this->asStudent($token);
        $answer = $this->ask('PUT', "/api/student/copies/{$this->copy}/slots/decision", [
            'save' => $id ?? Uuid::v4()->toRfc4122(),
            'base' => $base,
            'text' => $text,
        ]);
        $this->asTeacher();

        return $check ? $answer->is(200) : $answer;
    }

    private function read(): Json
    {
        $this->asStudent($this->ada);

        return $this->ask('GET', "/api/student/copies/{$this->copy}")->is(200);
    }
}
