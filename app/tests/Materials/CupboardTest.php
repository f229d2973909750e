<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials;

use FreshHuddle\App\Tests\Formats\Schema;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\TestWith;

/**
 * A teacher's worksheets: kept, found, exported and imported.
 */
final class CupboardTest extends AppTestCase
{
    public function test_an_original_is_kept_whole_and_found_with_where_it_is_used(): void
    {
        $blocks = [
            [
                'id' => 'a',
                'kind' => 'text',
                'text' => 'Begin **here**.',
                'variants' => [['variant' => 'easy', 'text' => 'Begin.']],
            ],
            [
                'id' => 'b',
                'kind' => 'link',
                'text' => 'The map',
                'settings' => ['address' => 'https://maps.larkmouth.example/wall?x=1'],
            ],
            [
                'id' => 'c',
                'kind' => 'sort',
                'text' => 'Sort',
                'settings' => [
                    'items' => [['id' => 'x', 'text' => 'Card', 'under' => 'h']],
                    'heads' => [['id' => 'h', 'text' => 'Head']],
                    'growing' => true,
                ],
            ],
            ['id' => 'd', 'kind' => 'picture', 'text' => 'The wall'],
        ];
        $made = $this->ask(
            'POST',
            '/api/staff/originals',
            ['subject' => 'Geography', 'year' => '9', 'about' => 'walls, water'] +
                self::original('The wall', $blocks, 0, [['id' => 'easy', 'name' => 'Easy']]),
        )->is(200);
        $read = $this->ask('GET', '/api/staff/originals/'.$made->text('id'))->is(200);
        self::assertSame($made->raw, $read->raw);
        self::assertSame(
            ['https://maps.larkmouth.example/wall?x=1', 'h', true, 'Begin.'],
            [
                $read->at('pages.0.blocks.1.settings.address'),
                $read->at('pages.0.blocks.2.settings.items.0.under'),
                $read->at('pages.0.blocks.2.settings.growing'),
                $read->at('pages.0.blocks.0.variants.0.text'),
            ],
        );

        $lesson = $this->newLesson(4);
        $round = $lesson->text('round.id');
        $this->ask('PUT', "/api/staff/rounds/{$round}/hand-out", [
            'rows' => [['original' => $made->text('id'), 'way' => 'together']],
        ])->is(204);
        $all = $this->ask('GET', '/api/staff/originals')->is(200);
        self::assertSame(
            ['The wall', 'Geography', 1, 1, 1, 1, 'Begin here.'],
            array_map(static fn (string $field): mixed => $all->at("0.{$field}"), [
                'title',
                'subject',
                'pages',
                'slots',
                'variants',
                'used',
                'begins',
            ]),
        );
        self::assertSame([$lesson->text('className')], $all->list('0.classes'));
    }

    #[TestWith(['json']), TestWith(['md'])]
    public function test_what_was_exported_comes_in_as_the_same_original(string $format): void
    {
        $blocks = [
            [
                'id' => 'a',
                'kind' => 'text',
                'text' => "# Begin\n\n- **here**",
                'variants' => [['variant' => 'easy', 'text' => 'Begin.']],
            ],
            [
                'id' => 'c',
                'kind' => 'sort',
                'text' => 'Sort',
                'settings' => [
                    'items' => [['id' => 'x', 'text' => 'Card', 'under' => 'h']],
                    'heads' => [['id' => 'h', 'text' => 'Head']],
                    'growing' => true,
                ],
            ],
            [
                'id' => 'd',
                'kind' => 'choose',
                'text' => 'Which?',
                'settings' => [
                    'items' => [['id' => 'y', 'text' => 'Yes'], ['id' => 'n', 'text' => 'No']],
                    'shown' => false,
                ],
            ],
        ];
        $made = $this->ask(
            'POST',
            '/api/staff/originals',
            ['subject' => 'Geography', 'year' => '9', 'about' => 'walls: water'] +
                self::original('The wall', $blocks, 0, [['id' => 'easy', 'name' => 'Easy']]),
        )->is(200);
        $file = $this->ask('GET', "/api/staff/originals/{$made->text('id')}/export/{$format}")->is(200)->raw;
        if ('json' === $format) {
            self::assertTrue(Schema::allows('original', $file));
        }
        $again = $this->bringIn(['name' => "The wall.{$format}", 'text' => $file]);
        foreach (['title', 'subject', 'year', 'about', 'pages', 'variants'] as $field) {
            self::assertSame($made->at($field), $again->at($field), $field);
        }
        self::assertNotSame($made->text('id'), $again->text('id'));
    }

    #[TestWith([
        '{"format":"another"}',
        'This isn’t a worksheet. Choose a Markdown file, or a file exported from here.',
    ]),
        TestWith(['{', 'This isn’t a worksheet. Choose a Markdown file, or a file exported from here.']),]
    #[TestWith([
        '{"format":"fresh-huddle/original","version":1,"title":"x","pages":[{"id":"p","title":"","blocks":[{"id":"a","kind":"riddle","text":""}]}]}',
        'The file can’t be read at pages[0].blocks[0].kind.',
    ]),]
    #[TestWith(["::: each\nno end", 'Line 1 can’t be read.'])]
    public function test_a_file_that_cannot_be_read_is_said_so_with_where(string $text, string $says): void
    {
        $answer = $this->ask('POST', '/api/staff/originals/import', ['name' => 'x.md', 'text' => $text])->is(422);
        self::assertSame([$says, 'text'], [$answer->text('title'), $answer->text('errors.0.field')]);
        self::assertSame([], $this->ask('GET', '/api/staff/originals')->list(''));
    }

    public function test_a_copy_is_another_original_and_what_is_put_away_comes_last(): void
    {
        $first = $this->ask('POST', '/api/staff/originals', self::original('First', []))->is(200)->text('id');
        $copy = $this->ask('POST', "/api/staff/originals/{$first}/copy")->is(200);
        self::assertSame('First (copy)', $copy->text('title'));
        $this->ask('PUT', "/api/staff/originals/{$copy->text('id')}", self::original('Second', [], 1))->is(200);
        self::assertSame('First', $this->ask('GET', "/api/staff/originals/{$first}")->text('title'));
        $this->ask('PUT', "/api/staff/originals/{$copy->text('id')}/archive", ['archived' => true])->is(204);
        self::assertSame(
            [['First', false], ['Second', true]],
            array_map(
                static fn (mixed $one): array => [((array) $one)['title'], ((array) $one)['archived']],
                (array) $this->ask('GET', '/api/staff/originals')->at(''),
            ),
        );
        $this->ask('PUT', "/api/staff/originals/{$copy->text('id')}/archive", ['archived' => false])->is(204);
        self::assertFalse($this->ask('GET', "/api/staff/originals/{$copy->text('id')}")->at('archived'));
    }

    public function test_nobody_puts_another_teachers_original_into_a_plan(): void
    {
        $theirs = $this->ask(
            'POST',
            '/api/staff/originals',
            self::original('Theirs', [['id' => 'a', 'kind' => 'text', 'text' => 'Private']]),
        )->text('id');
        $this->asTeacher($this->newTeacher('another@larkmouth.example'));
        $lesson = $this->newLesson(4);
        $this->ask('PUT', '/api/staff/rounds/'.$lesson->text('round.id').'/hand-out', [
            'rows' => [['original' => $theirs, 'way' => 'together']],
        ])->is(404);
        self::assertSame([], $this->ask('GET', '/api/staff/originals')->list(''));
    }

    public function test_the_plan_holds_an_original_once_and_forgets_tables_that_are_gone(): void
    {
        $lesson = $this->readyLesson(4, 2);
        $original = $lesson->text('handOut.0.original');
        $path = '/api/staff/rounds/'.$lesson->text('round.id').'/hand-out';
        $row = ['original' => $original, 'way' => 'together'];
        $this->ask('PUT', $path, ['rows' => [$row, $row]])->is(422);
        $this->ask('PUT', $path, [
            'rows' => [['cells' => [['group' => '00000000-0000-4000-8000-000000000000', 'way' => 'each']]] + $row],
        ])->is(204);
        self::assertSame([], $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->list('handOut.0.cells'));
        $this->ask('PUT', $path, ['rows' => []])->is(204);
        self::assertCount(
            1,
            $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->list('handOut'),
            'who did not know of it has not taken it out',
        );
        $this->ask('PUT', $path, ['rows' => [], 'knew' => [$original]])->is(204);
        self::assertSame([], $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->list('handOut'));
        self::assertSame(
            'There is no worksheet to copy yet.',
            $this->ask('POST', '/api/staff/rounds/'.$lesson->text('round.id').'/copies')
                ->is(422)
                ->text('title'),
        );
    }

    public function test_two_windows_of_one_original_are_brought_together(): void
    {
        $base = self::original('The wall', [
            ['id' => 'a', 'kind' => 'each', 'text' => 'one two'],
            ['id' => 'b', 'kind' => 'each', 'text' => 'north'],
        ]);
        $id = $this->ask('POST', '/api/staff/originals', $base)->is(200)->text('id');
        $this->ask(
            'PUT',
            "/api/staff/originals/{$id}",
            self::original(
                'The wall',
                [
                    ['id' => 'a', 'kind' => 'each', 'text' => 'one two three'],
                    ['id' => 'b', 'kind' => 'each', 'text' => 'north'],
                ],
                1,
            ),
        )->is(200);
        $mine = self::original(
            'The quay',
            [
                ['id' => 'a', 'kind' => 'each', 'text' => 'one two'],
                ['id' => 'b', 'kind' => 'each', 'text' => 'north and south'],
                ['id' => 'c', 'kind' => 'each', 'text' => 'new'],
            ],
            1,
        );
        $this->ask('PUT', "/api/staff/originals/{$id}", $mine)->is(409);
        unset($base['basedOn']);
        $saved = $this->ask('PUT', "/api/staff/originals/{$id}", $mine + ['base' => $base])->is(200);
        self::assertSame(
            ['The quay', 3, ['one two three', 'north and south', 'new']],
            [
                $saved->text('title'),
                $saved->int('version'),
                array_column((array) $saved->at('pages.0.blocks'), 'text'),
            ],
        );
        self::assertSame(
            ['one two three', 'north and south', 'new'],
            array_column((array) $this->ask('GET', "/api/staff/originals/{$id}")->at('pages.0.blocks'), 'text'),
        );
    }

    public function test_both_together_are_no_more_than_an_original_can_hold(): void
    {
        $many = static fn (string $side): array => array_map(
            static fn (int $i): array => ['id' => "{$side}-{$i}", 'kind' => 'text', 'text' => 'x'],
            range(1, 60),
        );
        $id = $this->ask('POST', '/api/staff/originals', $base = self::original('Long', []))
            ->is(200)
            ->text('id');
        $this->ask('PUT', "/api/staff/originals/{$id}", self::original('Long', $many('left'), 1))->is(200);
        unset($base['basedOn']);
        $this->ask(
            'PUT',
            "/api/staff/originals/{$id}",
            self::original('Long', $many('right'), 1) + ['base' => $base],
        )->is(409);
        self::assertCount(
            60,
            (array) $this->ask('GET', "/api/staff/originals/{$id}")->at('pages.0.blocks'),
            'what is saved stays',
        );
    }

    /**
     * @param array<string, string> $file
     *
     * @return Json the original that was brought in
     */
    private function bringIn(array $file): Json
    {
        $brought = $this->ask('POST', '/api/staff/originals/import', $file)->is(200);

        return $this->ask('GET', '/api/staff/originals/'.$brought->text('original'))->is(200);
    }
}
