<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Smalot\PdfParser\Parser;

/**
 * A round on paper: slips, and the plan of the groups with their work.
 */
final class PaperTest extends AppTestCase
{
    private Json $lesson;
    private string $paper;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(11, 3);
        $this->paper = '/api/staff/rounds/'.$this->lesson->text('round.id').'/paper';
    }

    public function test_everybody_who_is_here_has_a_slip_by_group_and_seat(): void
    {
        $this->ask('PATCH', '/api/staff/groupings/'.$this->lesson->text('floor.id'), [
            'numbers' => [
                'roles' => [['number' => 2, 'role' => 'speaker']],
                'tasks' => [
                    ['numbers' => [1, 2], 'task' => 'Read aloud.'],
                    ['numbers' => [2], 'task' => 'Keep time.'],
                ],
            ],
        ])->is(200);
        $away = $this->lesson->text('floor.groups.0.students.0');
        $standing = $this->lesson->text('floor.groups.2.students.0');
        $this->ask('POST', "/api/staff/students/{$away}/absent", ['absent' => true])->is(204);
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'basedOn' => $this->lesson->int('floor.step'),
            'kind' => 'shelve',
            'student' => $standing,
        ])->is(200);
        $paper = $this->ask('GET', $this->paper)->is(200);
        $slips = $paper->list('slips');
        self::assertCount(10, $slips);
        self::assertSame(
            [$standing, null, null],
            [$paper->at('slips.9.id'), $paper->at('slips.9.group'), $paper->at('slips.9.seat')],
            'who has no seat comes last',
        );
        self::assertNotContains($away, array_column($slips, 'id'));
        self::assertSame(
            [1, 2, 'speaker', 'Read aloud.; Keep time.'],
            [
                $paper->at('slips.0.group'),
                $paper->at('slips.0.seat'),
                $paper->at('slips.0.role'),
                $paper->at('slips.0.task'),
            ],
            'a seat keeps its number where the one before is empty',
        );
        $order = array_map(
            static fn (int $i): int => null === $paper->at("slips.{$i}.group") ? 99 : $paper->int("slips.{$i}.group"),
            range(0, 9),
        );
        $sorted = $order;
        sort($sorted);
        self::assertSame($sorted, $order);
        self::assertSame(
            [[['title' => 'District sheet', 'way' => 'together', 'variant' => null]], []],
            [$paper->list('work'), $paper->list('groups.0.work')],
            'what all get stands once',
        );
    }

    public function test_variants_of_groups_are_named_and_those_of_students_are_not(): void
    {
        $original = $this->lesson->text('handOut.0.original');
        $blocks = [['id' => 'brief', 'kind' => 'text', 'text' => 'Larkmouth floods.']];
        $this->ask(
            'PUT',
            "/api/staff/originals/{$original}",
            self::original('District sheet', $blocks, 1, [
                ['id' => 'north', 'name' => 'North bank'],
                ['id' => 'easy', 'name' => 'Short words'],
            ]),
        )->is(200);
        $row = [
            'original' => $original,
            'way' => 'together',
            'cells' => [
                ['group' => $this->lesson->text('floor.groups.0.id'), 'way' => 'each', 'variant' => 'north'],
                ['group' => $this->lesson->text('floor.groups.1.id'), 'way' => 'nothing'],
            ],
        ];
        $plan = '/api/staff/rounds/'.$this->lesson->text('round.id').'/hand-out';
        $this->ask('PUT', $plan, ['rows' => [$row]])->is(204);
        $paper = $this->ask('GET', $this->paper);
        self::assertSame(
            [[], [['title' => 'District sheet', 'way' => 'each', 'variant' => 'North bank']], []],
            [$paper->list('work'), $paper->list('groups.0.work'), $paper->list('groups.1.work')],
        );
        $this->ask('PUT', $plan, [
            'rows' => [
                $row + ['by' => ['attribute' => 'Level', 'values' => [['value' => '1', 'variant' => 'easy']]]],
            ],
        ])->is(204);
        self::assertStringNotContainsString('Short words', $this->ask('GET', $this->paper)->raw);
        self::assertStringContainsString('District sheet, a copy each', $this->print('plan')[0]);
    }

    public function test_the_plan_is_one_page_with_names_and_work(): void
    {
        $pages = $this->print('plan');
        self::assertCount(1, $pages);
        foreach (
            [
                'Where does the wall go?',
                '9G',
                'Group 1',
                'Group 3',
                'Student A',
                'Student K',
                'District sheet, a copy for the group',
            ] as $word
        ) {
            self::assertStringContainsString($word, $pages[0]);
        }
    }

    public function test_slips_are_eight_to_a_page_with_the_way_in(): void
    {
        $pages = $this->print('slips');
        self::assertCount(2, $pages, '11 slips');
        self::assertSame(
            [8, 3],
            array_map(fn (string $page): int => substr_count($page, $this->lesson->text('doorWord')), $pages),
        );
        self::assertSame(11, preg_match_all('/You are number \d/', implode(' ', $pages)));
        self::assertSame(11, preg_match_all('/Group \d/', implode(' ', $pages)));
    }

    public function test_a_slip_holds_names_of_any_length_and_writing(): void
    {
        foreach (
            [
                'نور الهدى عبد الرحمن',
                str_repeat('Wolfeschlegelsteinhausenbergerdorff ', 3).'Ada',
                '李小龍 & <b>',
            ] as $i => $name
        ) {
            $this->ask('PATCH', '/api/staff/students/'.$this->lesson->text("students.{$i}.id"), [
                'name' => $name,
            ])->is(204);
        }
        $pages = $this->print('slips');
        self::assertCount(2, $pages);
        self::assertStringContainsString('& <b>', implode(' ', $pages));
        self::assertCount(1, $this->print('plan'));
    }

    /**
     * @return list<string> what stands on each page
     */
    private function print(string $what): array
    {
        $pdf = (new Parser())->parseContent($this->ask('GET', "{$this->paper}/{$what}.pdf")->is(200)->raw);

        return array_map(
            static fn ($page): string => (string) preg_replace('/\s+/u', ' ', $page->getText()),
            array_values($pdf->getPages()),
        );
    }
}
