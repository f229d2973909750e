<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Debrief;

use FreshHuddle\Core\Debrief\Sum\LikeAnswers;
use FreshHuddle\Core\Debrief\Sum\LikeText;
use FreshHuddle\Core\Debrief\Sum\Score;
use FreshHuddle\Core\Debrief\Sum\SlotSums;
use FreshHuddle\Core\Debrief\Sum\SourceAnswer;
use FreshHuddle\Core\Debrief\Sum\Sum;
use FreshHuddle\Core\Debrief\Sum\SumShape;
use FreshHuddle\Core\Debrief\Sum\Tally;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\BlockSettings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * What all groups have done, taken together.
 */
final class SumTest extends TestCase
{
    public function test_cards_are_counted_under_the_headings_they_were_put_under(): void
    {
        $sum = self::sum(BlockKind::Sort, self::cards(), [
            'quayside' => ['wall' => ['place' => 1, 'under' => 'stops'], 'trees' => ['place' => 2, 'under' => 'slows']],
            'millbrook' => ['wall' => ['place' => 1, 'under' => 'slows']],
            'station' => ['wall' => ['place' => 1, 'under' => 'stops']],
        ]);
        self::assertSame(SumShape::Cards, $sum->shape);
        self::assertEquals(
            [
                new Tally('wall', 'stops', 'A wall', ['quayside', 'station'], true),
                new Tally('wall', 'slows', 'A wall', ['millbrook'], false),
                new Tally('trees', 'slows', 'Trees', ['quayside']),
            ],
            $sum->tallies,
        );
        self::assertEquals(
            [new Score('quayside', 1, 1), new Score('millbrook', 0, 1), new Score('station', 1, 1)],
            $sum->scores,
        );
    }

    public function test_the_right_place_of_a_card_is_known_also_where_nobody_has_put_it_there(): void
    {
        $sum = self::sum(BlockKind::Sort, self::cards(), []);
        self::assertEquals([new Tally('wall', 'stops', 'A wall', [], true)], $sum->tallies);
        self::assertSame([], $sum->scores);
    }

    public function test_options_are_counted_in_their_order_also_those_nobody_chose(): void
    {
        $options = new BlockSettings([new BlockItem('yes', 'Yes'), new BlockItem('no', 'No')]);
        foreach ([BlockKind::Choose, BlockKind::Ticks] as $kind) {
            $sum = self::sum($kind, $options, ['ada' => ['no' => true], 'ben' => ['no' => true], 'chi' => []]);
            self::assertEquals(
                [new Tally('yes', '', 'Yes', []), new Tally('no', '', 'No', ['ada', 'ben'])],
                $sum->tallies,
            );
        }
    }

    public function test_numbers_stand_by_size_and_the_same_one_once(): void
    {
        $sum = self::given(BlockKind::Number, new BlockSettings(), [
            'ada' => '12',
            'ben' => '-3.5',
            'chi' => '12',
            'dan' => '',
            'eve' => '9',
        ]);
        self::assertEquals(
            [
                new Tally('', '', '-3.5', ['ben']),
                new Tally('', '', '9', ['eve']),
                new Tally('', '', '12', ['ada', 'chi']),
            ],
            $sum->tallies,
        );
    }

    public function test_cells_bring_like_answers_together(): void
    {
        $table = new BlockSettings(
            [new BlockItem('cost', 'Cost')],
            [new BlockItem('who', 'Who pays')],
            growing: true,
        );
        $sum = self::sum(BlockKind::Table, $table, [
            'quayside' => ['cost|who' => 'The town'],
            'millbrook' => ['cost|who' => 'farmers'],
            'station' => ['cost|who' => 'the  town.', 'own' => 1.0, 'own|who' => 'nobody'],
        ]);
        self::assertEquals(
            [
                new Tally('cost', 'who', 'The town', ['quayside', 'station']),
                new Tally('cost', 'who', 'farmers', ['millbrook']),
            ],
            $sum->tallies,
        );
    }

    public function test_words_are_as_dark_as_many_have_marked_them(): void
    {
        $text = new BlockSettings(
            heads: [new BlockItem('key', 'Important'), new BlockItem('odd', 'Question')],
            passage: "Der Fluß\nsteigt schnell",
        );
        $sum = self::sum(BlockKind::MarkUp, $text, [
            'quayside' => ['m1' => ['from' => 4, 'kind' => 'key', 'to' => 15]],
            'millbrook' => [
                'm2' => ['from' => 4, 'kind' => 'key', 'to' => 8],
                'm3' => ['from' => 5, 'kind' => 'key', 'to' => 8],
                'm4' => ['from' => 16, 'kind' => 'odd', 'to' => 23],
            ],
        ]);
        self::assertEquals(
            [
                new Tally('4', 'key', 'Fluß', ['quayside', 'millbrook']),
                new Tally('9', 'key', 'steigt', ['quayside']),
                new Tally('16', 'odd', 'schnell', ['millbrook']),
            ],
            $sum->tallies,
        );
    }

    public function test_texts_stand_together_where_they_are_the_same_answer_the_most_first(): void
    {
        $sum = self::given(BlockKind::Each, new BlockSettings(), [
            'ada' => 'Trees',
            'ben' => 'a wall',
            'chi' => ' A wall! ',
            'dan' => 'tree',
            'eve' => 'a  Walls',
            'fay' => '???',
            'gus' => '?',
        ]);
        self::assertSame(
            [['a wall', ['ben', 'chi', 'eve']], ['Trees', ['ada', 'dan']], ['???', ['fay']], ['?', ['gus']]],
            array_map(static fn (Tally $tally): array => [$tally->text, $tally->sources], $sum->tallies),
        );
        self::assertSame(['a wall', 'A wall!', 'a  Walls'], $sum->tallies[0]->forms);
    }

    public function test_an_answer_taken_out_by_hand_stands_by_itself_and_nothing_is_lost(): void
    {
        $given = array_map(
            static fn (string $who, string $text): SourceAnswer => new SourceAnswer($who, $text),
            ['ada', 'ben', 'chi', 'dan'],
            ['a wall', ' A wall! ', 'a Walls', 'A wall!'],
        );
        $like = LikeText::together($given, ['A wall!']);
        self::assertEquals(
            [
                new LikeAnswers(['a wall', 'a Walls'], ['ada', 'chi']),
                new LikeAnswers(['A wall!'], ['ben', 'dan'], true),
            ],
            $like,
        );
        self::assertCount(1, LikeText::together($given, ['no such text']));
    }

    /**
     * @return iterable<string, array{string, string, bool}>
     */
    public static function pairs(): iterable
    {
        yield 'case' => ['The Wall', 'the wall', true];
        yield 'spaces and punctuation' => ['the wall', ' the —  “wall”. ', true];
        yield 'a plain plural' => ['tree', 'Trees', true];
        yield 'a plural in -ies' => ['city', 'cities', true];
        yield 'a plural in -es' => ['beach', 'beaches', true];
        yield 'no plural in -ss' => ['glas', 'glass', false];
        yield 'no plural in -us' => ['bu', 'bus', false];
        yield 'no plural in -is' => ['cris', 'crisis', false];
        yield 'another word' => ['tree', 'three', false];
        yield 'another order' => ['wall high', 'high wall', false];
        yield 'a slip of the pen is no guess of ours' => ['river', 'rivver', false];
        yield 'other scripts' => ['Стена!', 'стена', true];
        yield 'accents tell words apart' => ['ou', 'où', false];
        yield 'numbers' => ['12 m', '12m', false];
    }

    #[DataProvider('pairs')]
    public function test_texts_are_like_where_only_their_form_differs(string $one, string $other, bool $like): void
    {
        self::assertSame($like, LikeText::key($one) === LikeText::key($other));
    }

    public function test_everybody_who_has_given_something_is_in_a_sum_once_for_each_thing(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(4));
        for ($i = 0; $i < 300; ++$i) {
            $given = $marks = [];
            for ($s = $chance->getInt(0, 30); $s > 0; --$s) {
                $put = [];
                foreach (['wall', 'trees'] as $card) {
                    if (1 === $chance->getInt(0, 1)) {
                        $put[$card] = ['place' => 1, 'under' => ['stops', 'slows'][$chance->getInt(0, 1)]];
                        $marks["{$card} {$put[$card]['under']}"][] = "g{$s}";
                    }
                }
                $given["g{$s}"] = $put;
            }
            foreach (self::sum(BlockKind::Sort, self::cards(), $given)->tallies as $tally) {
                self::assertSame($marks["{$tally->item} {$tally->under}"] ?? [], $tally->sources);
                unset($marks["{$tally->item} {$tally->under}"]);
            }
            self::assertSame([], $marks);
        }
    }

    private static function cards(): BlockSettings
    {
        return new BlockSettings(
            [new BlockItem('wall', 'A wall', 'stops'), new BlockItem('trees', 'Trees')],
            [new BlockItem('stops', 'Stops water'), new BlockItem('slows', 'Slows water')],
        );
    }

    /**
     * @param array<string, array<string, mixed>> $things by source
     */
    private static function sum(BlockKind $kind, BlockSettings $settings, array $things): Sum
    {
        return self::given(
            $kind,
            $settings,
            array_map(
                static fn (array $one): string => [] === $one ? '' : json_encode($one, \JSON_THROW_ON_ERROR),
                $things,
            ),
        );
    }

    /**
     * @param array<string, string> $values by source
     */
    private static function given(BlockKind $kind, BlockSettings $settings, array $values): Sum
    {
        $sum = SlotSums::forKind($kind);
        self::assertNotNull($sum);

        return $sum->sum(
            new Block('slot', $kind, 'What?', $settings),
            array_map(
                static fn (string $source, string $value): SourceAnswer => new SourceAnswer($source, $value),
                array_keys($values),
                array_values($values),
            ),
        );
    }
}
