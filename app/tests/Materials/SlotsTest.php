<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/**
 * Every kind of slot, through the API; and who sees what.
 */
final class SlotsTest extends AppTestCase
{
    private const ITEMS = [['id' => 'a', 'text' => 'Alpha'], ['id' => 'b', 'text' => 'Beta']];
    private const HEADS = [['id' => 'h', 'text' => 'High'], ['id' => 'l', 'text' => 'Low']];

    private Json $lesson;
    private string $ada;
    private string $ben;
    private string $out;

    /**
     * @param array<string, mixed>        $row      of the plan
     * @param list<array{string, string}> $variants
     */
    private function begin(array $row = [], array $variants = []): string
    {
        $lesson = $this->newLesson(6);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 3,
            'seed' => 1,
        ]);
        $round = $lesson->text('round.id');
        $original = $this->ask(
            'POST',
            "/api/staff/rounds/{$round}/originals",
            self::original(
                'Slots',
                [
                    [
                        'id' => 'text',
                        'kind' => 'text',
                        'text' => '**Read** this',
                        'variants' => array_map(
                            static fn (array $one): array => ['variant' => $one[0], 'text' => $one[1]],
                            $variants,
                        ),
                    ],
                    ['id' => 'each', 'kind' => 'each', 'text' => 'You?'],
                    [
                        'id' => 'sort',
                        'kind' => 'sort',
                        'text' => 'Sort',
                        'settings' => ['items' => self::ITEMS, 'heads' => self::HEADS],
                    ],
                    ['id' => 'ticks', 'kind' => 'ticks', 'text' => 'Tick', 'settings' => ['items' => self::ITEMS]],
                    [
                        'id' => 'table',
                        'kind' => 'table',
                        'text' => 'Fill',
                        'settings' => ['items' => self::ITEMS, 'heads' => self::HEADS, 'growing' => true],
                    ],
                    [
                        'id' => 'marks',
                        'kind' => 'markUp',
                        'text' => 'Mark',
                        'settings' => ['heads' => self::HEADS, 'passage' => 'The wall goes north.'],
                    ],
                    [
                        'id' => 'mend',
                        'kind' => 'mend',
                        'text' => 'Mend',
                        'settings' => ['items' => [['id' => 'a', 'text' => 'He go.']]],
                    ],
                    ['id' => 'open', 'kind' => 'choose', 'text' => 'Which?', 'settings' => ['items' => self::ITEMS]],
                    [
                        'id' => 'secret',
                        'kind' => 'choose',
                        'text' => 'Which, quietly?',
                        'settings' => ['items' => self::ITEMS, 'shown' => false],
                    ],
                ],
                0,
                array_map(static fn (array $one): array => ['id' => $one[0], 'name' => $one[0]], $variants),
            ),
        )
            ->is(200)
            ->text('id');
        if ([] !== $row) {
            $now = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
            $cells = [];
            foreach ((array) ($row['cells'] ?? []) as $i => $cell) {
                $cells[] = ['group' => $now->text("floor.groups.{$i}.id")] + (array) $cell;
            }
            $this->ask('PUT', "/api/staff/rounds/{$round}/hand-out", [
                'rows' => [['original' => $original, 'cells' => $cells] + $row],
            ])->is(204);
        }
        $this->ask('POST', "/api/staff/rounds/{$round}/copies")->is(200);
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        $this->lesson = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        $this->ada = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->ben = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.1'));
        $this->out = $this->join($this->lesson, $this->lesson->text('floor.groups.1.students.0'));

        return $original;
    }

    #[DataProvider('values')]
    public function test_what_a_slot_can_hold_is_saved_and_read_back_by_all_members(
        string $slot,
        string $first,
        string $second,
        string $both,
    ): void {
        $this->begin();
        $copy = $this->copyOf($this->ada);
        $this->save($this->ada, $copy, $slot, '', $first)->is(200);
        self::assertSame($both, $this->save($this->ben, $copy, $slot, '', $second)->is(200)->text('text'));
        self::assertContains($both, array_column((array) $this->read($this->ada, $copy)->at('answers'), 'text'));
        $this->read($this->out, $copy)->is(404);
        $this->save($this->out, $copy, $slot, '', $first)->is(404);
    }

    public function test_a_place_for_a_pair_is_theirs_and_where_it_is_private_nobody_else_of_the_group_sees_a_word_of_it(): void
    {
        $lesson = $this->newLesson(4);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 1,
            'seed' => 1,
        ]);
        $round = $lesson->text('round.id');
        $part = static fn (string $id, string $kind, array $part): array => [
            'id' => $id,
            'kind' => $kind,
            'text' => $id,
            'settings' => ['part' => $part],
        ];
        $this->ask(
            'POST',
            "/api/staff/rounds/{$round}/originals",
            self::original('Pairs', [
                $part('one', 'together', ['seats' => [1, 2]]),
                $part('two', 'together', ['seats' => [3, 4], 'private' => true]),
                $part('photo', 'ownPictures', ['seats' => [3, 4], 'private' => true]),
                $part('nine', 'together', ['seats' => [9]]),
            ]),
        )->is(200);
        $this->ask('POST', "/api/staff/rounds/{$round}/copies")->is(200);
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        $this->lesson = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        [$first, $third] = [
            $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0')),
            $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.2')),
        ];
        $copy = $this->copyOf($first);
        $this->save($first, $copy, 'one', '', 'Ours.')->is(200);
        $this->save($third, $copy, 'two', '', 'Our secret.')->is(200);
        $this->save($third, $copy, 'one', '', 'Not mine.')->is(404);
        $this->save($first, $copy, 'two', '', 'Not mine.')->is(404);
        $this->save($first, $copy, 'nine', '', 'For nobody here.')->is(404);
        $this->asStudent($third);
        $picture = $this->ask('POST', "/api/student/copies/{$copy}/media", [
            'content' => base64_encode(Files::picture()),
        ])
            ->is(200)
            ->text('id');
        $this->save($third, $copy, 'photo', '', "{\"p1\":{\"media\":\"{$picture}\",\"place\":1}}")->is(200);
        $this->asTeacher();
        $note = fn (string $slot): string => $this->ask('POST', "/api/staff/copies/{$copy}/notes", [
            'slot' => $slot,
            'text' => "About {$slot}",
        ])
            ->is(200)
            ->text('id');
        $note('one');
        $hidden = $note('two');

        $seen = $this->read($first, $copy);
        self::assertSame(['Ours.'], array_column((array) $seen->at('answers'), 'text'));
        self::assertSame(['About one'], array_column((array) $seen->at('notes'), 'text'));
        self::assertStringNotContainsString('secret', (string) $this->client->getResponse()->getContent());
        self::assertSame(
            ['one', 'two', 'photo'],
            array_column((array) $seen->at('pages.0.blocks'), 'id'),
            'what no seat of the group is for is not there',
        );
        self::assertSame(
            [2, 2, 2],
            [
                \count($seen->list('fillers.0.students')),
                \count($seen->list('fillers.1.students')),
                \count($seen->list('fillers.2.students')),
            ],
        );
        $this->asStudent($first);
        $this->ask('GET', "/api/student/copies/{$copy}/slots/two/history/{$copy}")->is(404);
        $this->ask('POST', "/api/student/copies/{$copy}/slots/two/history/{$copy}", ['revision' => 1])->is(404);
        $this->ask('POST', "/api/student/copies/{$copy}/notes/{$hidden}/seen")->is(404);
        $this->ask('GET', "/api/student/copies/{$copy}/media/{$picture}")->is(404);
        $this->ask('POST', "/api/student/copies/{$copy}/media", ['content' => base64_encode(Files::picture())])->is(
            404,
        );
        $this->asStudent($third);
        $this->ask('GET', "/api/student/copies/{$copy}/media/{$picture}")->is(200);
        self::assertSame(
            ['Ours.', 'Our secret.'],
            \array_slice(array_column((array) $this->read($third, $copy)->at('answers'), 'text'), 0, 2),
        );
        $this->asTeacher();
        $now = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        self::assertSame(
            [3, 3],
            [$now->int('signals.0.filled'), $now->int('signals.0.slots')],
            'done when those three are filled',
        );
    }

    /**
     * @return iterable<string, array{string, string, string, string}> the slot, what Ada does, what Ben does without
     *     having heard of it, and what then stands there
     */
    public static function values(): iterable
    {
        yield 'each has their own' => ['each', 'Ada', 'Ben', 'Ben'];
        yield 'two cards' => [
            'sort',
            '{"a":{"under":"h","place":1}}',
            '{"b":{"place":1.5,"under":"l"}}',
            '{"a":{"place":1,"under":"h"},"b":{"place":1.5,"under":"l"}}',
        ];
        yield 'two ticks' => ['ticks', '{"a":true}', '{"b":true}', '{"a":true,"b":true}'];
        yield 'two cells' => ['table', '{"a|h":"1"}', '{"b|l":"2"}', '{"a|h":"1","b|l":"2"}'];
        yield 'one cell' => ['table', '{"a|h":"one"}', '{"a|h":"two"}', '{"a|h":"one two"}'];
        yield 'a row of our own' => [
            'table',
            '{"r-1":3,"r-1|h":"x"}',
            '{"a|h":"1"}',
            '{"a|h":"1","r-1":3,"r-1|h":"x"}',
        ];
        yield 'two marks' => [
            'marks',
            '{"m1":{"from":0,"to":3,"kind":"h"}}',
            '{"m2":{"from":4,"to":8,"kind":"l","remark":"why?"}}',
            '{"m1":{"from":0,"kind":"h","to":3},"m2":{"from":4,"kind":"l","remark":"why?","to":8}}',
        ];
        yield 'a sentence' => ['mend', '{"a":"He goes."}', '', '{"a":"He goes."}'];
        yield 'a choice of each' => ['open', '{"a":true}', '{"b":true}', '{"b":true}'];
    }

    #[DataProvider('hostile')]
    public function test_what_a_slot_cannot_hold_is_refused_at_its_field(string $slot, string $value): void
    {
        $this->begin();
        $copy = $this->copyOf($this->ada);
        $this->save($this->ada, $copy, 'ticks', '', '{"a":true}')->is(200);
        $answer = $this->save($this->ada, $copy, $slot, '', $value)->is(422);
        self::assertSame('text', $answer->text('errors.0.field'));
        self::assertSame(
            1,
            $this->db()->fetchOne('SELECT COUNT(*) FROM slot_answer WHERE copy_id = ?', [$copy]),
            'and nothing is lost or kept of it',
        );
    }

    /**
     * @return iterable<string, array{string, string}>
     */
    public static function hostile(): iterable
    {
        yield 'no JSON' => ['sort', 'a card'];
        yield 'a card nobody gave' => ['sort', '{"zz":{"under":"h","place":1}}'];
        yield 'a heading nobody gave' => ['sort', '{"a":{"under":"<script>","place":1}}'];
        yield 'a list' => ['ticks', '["a"]'];
        yield 'very deep' => ['table', str_repeat('{"a":', 60).'1'.str_repeat('}', 60)];
        yield 'outside the text' => ['marks', '{"m":{"from":0,"to":2000,"kind":"h"}}'];
        yield 'two where one may be' => ['open', '{"a":true,"b":true}'];
        yield 'a number' => ['mend', '{"a":7}'];
    }

    public function test_a_choice_made_quietly_is_seen_by_nobody_else(): void
    {
        $this->begin();
        $copy = $this->copyOf($this->ada);
        $this->save($this->ada, $copy, 'secret', '', '{"a":true}')->is(200);
        $this->save($this->ada, $copy, 'open', '', '{"b":true}')->is(200);
        $own = $this->read($this->ada, $copy);
        self::assertCount(2, $own->list('answers'));
        $other = $this->read($this->ben, $copy);
        self::assertSame(['open'], array_column((array) $other->at('answers'), 'slot'));
        $this->asTeacher();
        $seen = $this->ask('GET', '/api/staff/rounds/'.$this->lesson->text('round.id').'/copies');
        self::assertStringContainsString('"slot":"secret"', $seen->raw, 'the teacher sees it');
    }

    public function test_a_group_that_gets_it_to_read_cannot_write_and_one_that_gets_nothing_has_nothing(): void
    {
        $this->begin(['way' => 'together', 'cells' => [0 => ['way' => 'read'], 1 => ['way' => 'nothing']]]);
        $copy = $this->copyOf($this->ada);
        self::assertSame('read', $this->read($this->ada, $copy)->is(200)->text('way'));
        $this->save($this->ada, $copy, 'each', '', 'x')->is(404);
        $this->asStudent($this->out);
        self::assertSame([], $this->ask('GET', '/api/student/now')->list('group.copies'));
        self::assertCount(2, $this->lesson->list('copies'));
    }

    public function test_a_copy_each_is_nobody_elses_not_even_in_the_group(): void
    {
        $this->begin(['way' => 'each']);
        self::assertCount(6, $this->lesson->list('copies'));
        [$mine, $theirs] = [$this->copyOf($this->ada), $this->copyOf($this->ben)];
        self::assertNotSame($mine, $theirs);
        $this->save($this->ada, $mine, 'each', '', 'mine')->is(200);
        $this->read($this->ben, $mine)->is(404);
        $this->save($this->ben, $mine, 'each', '', 'x')->is(404);
    }

    public function test_one_copy_for_the_class_is_written_by_all_groups(): void
    {
        $this->begin(['way' => 'all']);
        self::assertCount(1, $this->lesson->list('copies'));
        $copy = $this->copyOf($this->ada);
        self::assertSame($copy, $this->copyOf($this->out));
        $this->save($this->ada, $copy, 'ticks', '', '{"a":true}')->is(200);
        self::assertSame(
            '{"a":true,"b":true}',
            $this->save($this->out, $copy, 'ticks', '', '{"b":true}')->is(200)->text('text'),
        );
    }

    public function test_groups_get_their_variants(): void
    {
        $this->begin(
            [
                'way' => 'together',
                'cells' => [
                    0 => ['way' => 'together', 'variant' => 'v1'],
                    1 => ['way' => 'together', 'variant' => 'v2'],
                ],
            ],
            [['v1', 'First part'], ['v2', 'Second part']],
        );
        $text = fn (string $who): string => $this->read($who, $this->copyOf($who))->text('pages.0.blocks.0.text');
        self::assertSame(['First part', 'Second part'], [$text($this->ada), $text($this->out)]);
        self::assertStringNotContainsString(
            'Second part',
            $this->read($this->ada, $this->copyOf($this->ada))->raw,
            'nothing of another variant is in it',
        );
        self::assertSame('', $this->lesson->text('copies.2.variant'));
    }

    public function test_students_get_the_variant_that_goes_by_what_the_class_list_says_of_them(): void
    {
        $original = $this->begin(['way' => 'each'], [['v1', 'Short words'], ['v2', 'Long words']]);
        $round = $this->lesson->text('round.id');
        $class = $this->lesson->text('classId');
        [$ada, $ben] = [
            $this->lesson->text('floor.groups.0.students.0'),
            $this->lesson->text('floor.groups.0.students.1'),
        ];
        foreach ([$ada => '1', $ben => '2'] as $student => $level) {
            $this->ask('PATCH', "/api/staff/students/{$student}", [
                'attributes' => [['name' => '2024', 'value' => $level], ['name' => 'Level', 'value' => $level]],
            ])->is(204);
        }
        $plan = static fn (array $by): array => ['rows' => [['original' => $original, 'way' => 'each', 'by' => $by]]];
        $this->ask('PUT', "/api/staff/rounds/{$round}/hand-out", $plan(['attribute' => ' ', 'values' => []]))->is(
            422,
        );
        $this->ask(
            'PUT',
            "/api/staff/rounds/{$round}/hand-out",
            $plan([
                'attribute' => '2024',
                'values' => [
                    ['value' => '1', 'variant' => 'v1'],
                    ['value' => '1', 'variant' => 'v2'],
                    ['value' => '2', 'variant' => 'v2'],
                    ['value' => '3', 'variant' => 'gone'],
                ],
            ]),
        )->is(204);
        $now = $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'));
        self::assertSame(
            [
                'attribute' => '2024',
                'values' => [
                    ['value' => '1', 'variant' => 'v1'],
                    ['value' => '2', 'variant' => 'v2'],
                    ['value' => '3', 'variant' => ''],
                ],
            ],
            $now->at('handOut.0.by'),
            'a value once, a variant that is gone is the plain form',
        );
        self::assertSame(2, $now->int('handOut.0.outdated'));
        $this->ask('POST', "/api/staff/rounds/{$round}/copies")->is(200);
        $text = fn (string $who): string => $this->read($who, $this->copyOf($who))->text('pages.0.blocks.0.text');
        self::assertSame(
            ['Short words', 'Long words', '**Read** this'],
            [$text($this->ada), $text($this->ben), $text($this->out)],
        );

        $next = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'Next',
            'minutes' => 50,
            'from' => $this->lesson->text('id'),
        ])->is(200);
        self::assertSame(
            '2024',
            $this->ask('GET', '/api/staff/lessons/'.$next->text('id'))->text('handOut.0.by.attribute'),
            'and so in the next lesson',
        );
    }

    private function copyOf(string $who): string
    {
        $this->asStudent($who);
        $id = $this->ask('GET', '/api/student/now')->is(200)->text('group.copies.0.id');
        $this->asTeacher();

        return $id;
    }

    private function save(string $who, string $copy, string $slot, string $base, string $text): Json
    {
        $this->asStudent($who);
        $answer = $this->ask('PUT', "/api/student/copies/{$copy}/slots/{$slot}", [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => $base,
            'text' => $text,
        ]);
        $this->asTeacher();

        return $answer;
    }

    private function read(string $who, string $copy): Json
    {
        $this->asStudent($who);
        $answer = $this->ask('GET', "/api/student/copies/{$copy}");
        $this->asTeacher();

        return $answer;
    }
}
