<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;
use FreshHuddle\Core\Materials\Slot\SlotKind;
use FreshHuddle\Core\Materials\Slot\Sort;
use FreshHuddle\Core\Materials\Slot\Written;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * What every slot keeps to, whatever is done in it.
 *
 * @phpstan-type Held array{Block, list<string>, list<string>, string}
 */
final class SlotContractTest extends TestCase
{
    private const MEDIA = '01a216fe-0236-7f46-9729-f4e42888abc4';

    /**
     * A row for each slot there is; one that is missing here fails test_every_slot_is_held_to_the_contract.
     *
     * @return array<string, Held> the block; values it can hold, none like another; values it cannot; one that fills it
     */
    public static function slots(): array
    {
        $items = [new BlockItem('a', 'Alpha', 'h'), new BlockItem('b', 'Beta'), new BlockItem('c', 'He go home.')];
        $heads = [new BlockItem('h', 'High'), new BlockItem('l', 'Low')];
        $wrong = [
            '[]x',
            '[1]',
            '7',
            '"text"',
            'null',
            '{"zz":true}',
            '{"a":{"deep":{"er":{"est":1}}}}',
            '{"a":null}',
        ];

        return [
            'each' => [
                new Block('s', BlockKind::Each, 'You?'),
                ['I think so.', "Two\nlines", '🌊', ' '],
                [str_repeat('é', 20_001)],
                'I think so.',
            ],
            'together' => [
                new Block('s', BlockKind::Together, 'We?'),
                ['We think so.', 'One. Two.', 'Ω'],
                [str_repeat('x', 20_001)],
                'We think so.',
            ],
            'number' => [
                new Block('s', BlockKind::Number, 'How high?'),
                ['7', '-3.5', '0', '0.000001', '999999999999'],
                ['07', '-0', '+1', '3.50', '3.', '.5', '1,5', '1e3', '0x1', ' 7', "7\n", '1234567890123', '٣', 'seven'],
                '12',
            ],
            'sort' => [
                new Block('s', BlockKind::Sort, 'Sort', new BlockSettings($items, $heads, growing: true)),
                [
                    '{"a":{"place":1,"under":"h"}}',
                    '{"a":{"place":0.5,"under":"l"},"b":{"place":2,"under":"l"}}',
                    '{"own-1":{"place":1,"text":"Ours","under":"h"}}',
                ],
                [
                    ...$wrong,
                    '{"a":true}',
                    '{"a":{"under":"nowhere","place":1}}',
                    '{"a":{"under":"h","place":"1"}}',
                    '{"a":{"under":"h"}}',
                    '{"a":{"under":"h","place":1,"text":"new"}}',
                    '{"A B":{"under":"h","place":1,"text":"x"}}',
                    '{"own":{"under":"h","place":1e12,"text":"x"}}',
                ],
                '{"a":{"place":1,"under":"h"},"b":{"place":2,"under":"l"},"c":{"place":3,"under":"l"}}',
            ],
            'ticks' => [
                new Block('s', BlockKind::Ticks, 'Tick', new BlockSettings($items)),
                ['{"a":true}', '{"b":true}', '{"a":true,"c":true}'],
                [...$wrong, '{"a":false}', '{"a":1}'],
                '{"a":true,"b":true,"c":true}',
            ],
            'table' => [
                new Block('s', BlockKind::Table, 'Fill', new BlockSettings([$items[0]], $heads, growing: true)),
                ['{"a|h":"42"}', '{"a|h":"42","a|l":"x"}', '{"row-1":1,"row-1|h":"more"}'],
                [
                    '[]x',
                    '[1]',
                    '7',
                    '{"a|zz":"x"}',
                    '{"a|h|l":"x"}',
                    '{"a|h":true}',
                    '{"a":1}',
                    '{"A":1}',
                    '{"a|h":"'.str_repeat('x', 1_001).'"}',
                ],
                '{"a|h":"42","a|l":"x"}',
            ],
            'markUp' => [
                new Block(
                    's',
                    BlockKind::MarkUp,
                    'Mark',
                    new BlockSettings(heads: $heads, passage: 'The wall goes nörth.'),
                ),
                [
                    '{"m1":{"from":0,"kind":"h","to":3}}',
                    '{"m1":{"from":0,"kind":"h","remark":"why?","to":3}}',
                    '{"m2":{"from":9,"kind":"l","to":20}}',
                ],
                [
                    ...$wrong,
                    '{"m":{"from":3,"to":3,"kind":"h"}}',
                    '{"m":{"from":-1,"to":3,"kind":"h"}}',
                    '{"m":{"from":0,"to":21,"kind":"h"}}',
                    '{"m":{"from":0,"to":3,"kind":"x"}}',
                    '{"m":{"from":0,"to":3,"kind":"h","more":1}}',
                    '{"m":{"from":0,"to":3,"kind":"h","remark":7}}',
                ],
                '{"m1":{"from":0,"kind":"h","to":3}}',
            ],
            'mend' => [
                new Block('s', BlockKind::Mend, 'Mend', new BlockSettings($items)),
                ['{"c":"He goes home."}', '{"a":"Alpha!"}', '{"a":"x","c":"He goes home."}'],
                [...$wrong, '{"c":true}', '{"c":"'.str_repeat('x', 2_001).'"}'],
                '{"a":"1","b":"2","c":"He goes home."}',
            ],
            'choose' => [
                new Block('s', BlockKind::Choose, 'Which?', new BlockSettings($items)),
                ['{"a":true}', '{"b":true}', '{"c":true}'],
                [...$wrong, '{"a":true,"b":true}', '{"a":"yes"}'],
                '{"b":true}',
            ],
            'ownPictures' => [
                new Block('s', BlockKind::OwnPictures, 'Draw it.'),
                [
                    self::picture('p1', 1),
                    self::picture('p1', 1, 'The wall'),
                    '{'.trim(self::picture('p1', 1), '{}').'},'.trim(self::picture('p2', 2, '🌊'), '{}').'}}',
                ],
                [
                    ...$wrong,
                    '{"a":true}',
                    '{"p1":{"media":"photo.jpg","place":1}}',
                    '{"p1":{"media":"'.self::MEDIA.'"}}',
                    '{"P 1":{"media":"'.self::MEDIA.'","place":1}}',
                    self::picture('p1', 1, str_repeat('x', 301)),
                    '{"p1":{"media":"'.self::MEDIA.'","place":1,"src":"x"}}',
                    self::pictures(61),
                ],
                self::picture('p1', 1),
            ],
        ];
    }

    private static function picture(string $id, int $place, string $caption = ''): string
    {
        return '{"'.
            $id.
            '":{'.
            ('' === $caption ? '' : '"caption":"'.$caption.'",').
            '"media":"'.
            self::MEDIA.
            '","place":'.
            $place.
            '}}';
    }

    private static function pictures(int $many): string
    {
        return (string) json_encode(
            array_combine(
                array_map(static fn (int $i): string => "p{$i}", range(1, $many)),
                array_fill(0, $many, ['media' => self::MEDIA, 'place' => 1]),
            ),
        );
    }

    public function test_every_slot_is_held_to_the_contract(): void
    {
        $slots = array_filter(BlockKind::cases(), static fn (BlockKind $kind): bool => $kind->isSlot());
        self::assertSame(
            array_map(static fn (BlockKind $kind): string => $kind->value, array_values($slots)),
            array_keys(self::slots()),
        );
    }

    /**
     * @param list<string> $values
     * @param list<string> $unusable
     */
    #[DataProvider('slots')]
    public function test_what_it_can_hold_is_kept_in_one_form_and_nothing_else_is_taken(
        Block $block,
        array $values,
        array $unusable,
        string $full,
    ): void {
        $slot = self::slot($block);
        foreach (['', $full, ...$values] as $value) {
            self::assertSame($value, $slot->read($value, $block));
            self::assertSame($value, $slot->read($slot->read($value, $block), $block), 'read again it is the same');
        }
        foreach ($unusable as $value) {
            try {
                $slot->read($value, $block);
                self::fail("{$value} was taken");
            } catch (UnusableValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    /**
     * @param list<string> $values
     * @param list<string> $unusable
     */
    #[DataProvider('slots')]
    public function test_what_one_did_stays_where_nobody_else_did_anything(
        Block $block,
        array $values,
        array $unusable,
        string $full,
    ): void {
        $slot = self::slot($block);
        foreach (['', ...$values] as $base) {
            foreach ($values as $other) {
                self::assertSame($other, $slot->merge($base, $base, $other), 'only mine');
                self::assertSame($other, $slot->merge($base, $other, $base), 'only theirs');
                self::assertSame($other, $slot->merge($base, $other, $other), 'both the same');
            }
        }
    }

    /**
     * @param list<string> $values
     * @param list<string> $unusable
     */
    #[DataProvider('slots')]
    public function test_what_comes_of_two_is_something_it_can_hold(
        Block $block,
        array $values,
        array $unusable,
        string $full,
    ): void {
        $slot = self::slot($block);
        foreach (['', ...$values] as $base) {
            foreach (['', ...$values] as $theirs) {
                foreach (['', ...$values] as $mine) {
                    $merged = $slot->merge($base, $theirs, $mine);
                    self::assertSame($merged, $slot->read($merged, $block), "{$base} / {$theirs} / {$mine}");
                }
            }
        }
    }

    /**
     * @param list<string> $values
     * @param list<string> $unusable
     */
    #[DataProvider('slots')]
    public function test_it_is_filled_when_all_is_done_and_not_before_anything_is(
        Block $block,
        array $values,
        array $unusable,
        string $full,
    ): void {
        $slot = self::slot($block);
        self::assertSame([0.0, false], [$slot->share('', $block), $slot->isFilled('', $block)]);
        self::assertSame([1.0, true], [$slot->share($full, $block), $slot->isFilled($full, $block)]);
        foreach ($values as $value) {
            self::assertGreaterThanOrEqual(0.0, $slot->share($value, $block));
            self::assertLessThanOrEqual(1.0, $slot->share($value, $block));
        }
        self::assertNull($slot->lacks($block));
    }

    /**
     * Six pages, seeded: each starts from what it last heard and saves when it likes; the server brings them together
     * in the order in which they come in. What any of them did to a thing nobody else touched is there in the end, and
     * every page that has heard all shows the same.
     *
     * @param list<string> $values
     * @param list<string> $unusable
     */
    #[DataProvider('slots')]
    public function test_six_who_are_at_it_at_once_end_with_the_same_and_lose_nothing(
        Block $block,
        array $values,
        array $unusable,
        string $full,
    ): void {
        $slot = self::slot($block);
        for ($seed = 1; $seed <= 60; ++$seed) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $held = '';
            $pages = array_fill(0, 6, ['base' => '', 'value' => '']);
            $did = [];
            for ($turn = 0; $turn < 40; ++$turn) {
                $who = $random->getInt(0, 5);
                if (0 === $random->getInt(0, 2)) {
                    // hears what is held: its own unsaved work is brought into it
                    $pages[$who]['value'] = $slot->merge($pages[$who]['base'], $held, $pages[$who]['value']);
                    $pages[$who]['base'] = $held;
                }
                [$pages[$who]['value'], $what] = self::work($block, $pages[$who]['value'], $who, $turn, $random);
                if (null !== $what) {
                    $did[] = $what;
                }
                if (0 === $random->getInt(0, 1)) {
                    // saves
                    $held = $slot->merge($pages[$who]['base'], $held, $pages[$who]['value']);
                    $pages[$who] = ['base' => $pages[$who]['value'], 'value' => $pages[$who]['value']];
                }
            }
            foreach ($pages as $page) {
                $held = $slot->merge($page['base'], $held, $page['value']);
            }
            self::assertSame($held, $slot->read($held, $block));
            foreach ($did as $word) {
                self::assertStringContainsString($word, $held, "seed {$seed}");
            }
        }
    }

    public function test_pages_take_each_kind_for_what_it_is_here(): void
    {
        $known = array_map(
            static fn (BlockKind $kind): array => [
                'kind' => $kind->value,
                'isSlot' => $kind->isSlot(),
                'isAlone' => array_map(
                    static fn (bool $alone): bool => $kind->slot()?->isAlone(new BlockSettings(alone: $alone)) ?? false,
                    [false, true],
                ),
            ],
            BlockKind::cases(),
        );
        self::assertSame(self::shared('kinds'), $known);
    }

    public function test_a_number_can_be_held_as_a_page_writes_it(): void
    {
        [$block] = self::slots()['number'];
        $typed = self::shared('numbers')['typed'] ?? [];
        self::assertIsArray($typed);
        self::assertNotEmpty($typed);
        foreach ($typed as $one) {
            self::assertIsArray($one);
            if (null !== ($kept = $one['kept'])) {
                self::assertIsString($kept);
                self::assertSame($kept, self::slot($block)->read($kept, $block));
            }
        }
    }

    /**
     * @return array<mixed> cases that pages are held to as well
     */
    private static function shared(string $name): array
    {
        $cases = json_decode((string) file_get_contents(__DIR__."/{$name}.json"), true);
        self::assertIsArray($cases);

        return $cases;
    }

    public function test_cards_in_the_right_place_are_counted_where_it_is_known(): void
    {
        [$block] = self::slots()['sort'];
        self::assertSame(
            [[0, 1], [1, 1], [0, 1]],
            array_map(static fn (string $value): array => (new Sort())->right($value, $block), [
                '',
                '{"a":{"place":1,"under":"h"}}',
                '{"a":{"place":1,"under":"l"}}',
            ]),
        );
    }

    public function test_a_card_moved_by_two_lies_where_the_later_put_it_and_is_there_once(): void
    {
        [$block] = self::slots()['sort'];
        $merged = self::slot($block)->merge('', '{"a":{"place":1,"under":"h"}}', '{"a":{"place":5,"under":"l"}}');
        self::assertSame('{"a":{"place":5,"under":"l"}}', $merged);
    }

    public function test_a_mark_taken_away_while_somebody_remarks_on_it_stays_with_the_remark(): void
    {
        [$block] = self::slots()['markUp'];
        $with = '{"m1":{"from":0,"kind":"h","remark":"why?","to":3}}';
        self::assertSame($with, self::slot($block)->merge('{"m1":{"from":0,"kind":"h","to":3}}', $with, ''));
        self::assertSame('', self::slot($block)->merge($with, $with, ''), 'and goes where nobody does');
    }

    public function test_two_in_one_cell_come_together_word_by_word(): void
    {
        [$block] = self::slots()['table'];
        self::assertSame(
            '{"a|h":"The high wall goes north."}',
            self::slot($block)->merge(
                '{"a|h":"The wall goes."}',
                '{"a|h":"The high wall goes."}',
                '{"a|h":"The wall goes north."}',
            ),
        );
    }

    /**
     * @return array{string, string|null} the value after somebody did something, and what must be found in the end;
     *     null where others may undo it
     */
    private static function work(Block $block, string $value, int $who, int $turn, Randomizer $random): array
    {
        $word = "w{$who}x{$turn}";
        if (self::slot($block) instanceof Written) {
            return [trim("{$value} {$word}"), $word];
        }
        /** @var array<string, mixed> $things */
        $things = '' === $value ? [] : json_decode($value, true);
        $item = ['a', 'b', 'c'][$random->getInt(0, 2)];
        $must = null;
        switch ($block->kind) {
            case BlockKind::Sort:
                0 === $random->getInt(0, 1)
                    ? ($things[$item] = ['place' => (float) $turn, 'under' => 'l'])
                    : ($things[$must = "own-{$who}-{$turn}"] = ['place' => 1.0, 'text' => $word, 'under' => 'h']);
                break;
            case BlockKind::Number:
                return [(string) $turn, null];
            case BlockKind::Ticks:
                $things[$item] = true;
                $must = "\"{$item}\":true";
                break;
            case BlockKind::Table:
                $things["row-{$who}"] = 1.0;
                $cell = "row-{$who}|h";
                $things[$cell] = trim((\is_string($things[$cell] ?? null) ? $things[$cell] : '')." {$word}");
                $must = $word;
                break;
            case BlockKind::MarkUp:
                $things[$must = "m-{$who}-{$turn}"] = ['from' => $who, 'kind' => 'h', 'to' => $who + 2];
                break;
            case BlockKind::Mend:
                $things[$item] = trim((\is_string($things[$item] ?? null) ? $things[$item] : '')." {$word}");
                $must = $word;
                break;
            case BlockKind::OwnPictures:
                $own =
                    \is_array($things["p-{$who}"] ?? null) && \is_string($things["p-{$who}"]['caption'] ?? null)
                        ? $things["p-{$who}"]['caption']
                        : '';
                $things["p-{$who}"] = [
                    'media' => self::MEDIA,
                    'place' => (float) $turn,
                    'caption' => trim("{$own} {$word}"),
                ];
                $must = $word;
                break;
            default:
                $things = [$item => true];
        }

        return [self::slot($block)->read(json_encode($things, \JSON_THROW_ON_ERROR), $block), $must];
    }

    private static function slot(Block $block): SlotKind
    {
        return $block->slot() ?? throw new \LogicException('No slot.');
    }
}
