<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\CopyUpdate;
use FreshHuddle\Core\Materials\Page;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * What later changes of a worksheet do to copies that are out.
 */
final class CopyUpdateTest extends TestCase
{
    public function test_a_new_page_is_added_whatever_was_written_elsewhere(): void
    {
        $copy = [new Page('p', '', [self::slot('a', 'What?')])];
        $update = CopyUpdate::between($copy, [$copy[0], new Page('q', 'Tuesday', [self::slot('b', 'And now?')])], ['a']);
        self::assertSame(['p', 'q'], array_column($update->pages, 'id'));
        self::assertSame([['pageAdded', 'Tuesday']], self::said($update));
    }

    public function test_a_changed_prompt_is_updated_where_nobody_has_worked_and_stands_beside_the_old_one_where_somebody_has(): void
    {
        $copy = [new Page('p', '', [self::slot('a', 'Old?'), self::slot('b', 'Old?')])];
        $update = CopyUpdate::between(
            $copy,
            [new Page('p', '', [self::slot('a', 'New?'), self::slot('b', 'New?')])],
            ['b'],
        );
        self::assertSame(
            [['slot', 'a', 'New?'], ['text', 'b-now', 'New?'], ['slot', 'b', 'Old?']],
            self::told($update),
        );
        self::assertSame([['blockChanged', 'New?'], ['bothShown', 'New?']], self::said($update));
        self::assertTrue(CopyUpdate::between($update->pages, $update->pages, ['b'])->isNothing());
    }

    public function test_what_is_taken_out_goes_where_nobody_has_worked_and_stays_where_somebody_has(): void
    {
        $copy = [
            new Page('p', '', [self::slot('a', 'A?'), self::slot('b', 'B?')]),
            new Page('q', 'Gone', [self::slot('c', 'C?'), self::slot('d', 'D?')]),
        ];
        $update = CopyUpdate::between($copy, [new Page('p', '', [self::slot('e', 'E?')])], ['a', 'd']);
        self::assertSame([['slot', 'e', 'E?'], ['slot', 'a', 'A?'], ['slot', 'd', 'D?']], self::told($update));
        self::assertSame(
            [
                ['blockAdded', 'E?'],
                ['blockStays', 'A?'],
                ['blockGone', 'B?'],
                ['blockGone', 'C?'],
                ['blockStays', 'D?'],
            ],
            self::said($update),
        );
    }

    public function test_whatever_is_changed_no_slot_with_work_in_it_is_lost_or_altered_and_twice_is_once(): void
    {
        for ($seed = 1; $seed <= 200; ++$seed) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $make = static function () use ($random): array {
                $pages = [];
                $ids = range(1, 12);
                $ids = \array_slice($random->shuffleArray($ids), 0, $random->getInt(0, 12));
                foreach (['p', 'q', 'r'] as $page) {
                    $blocks = [];
                    for ($n = $random->getInt(0, 4); $n > 0 && [] !== $ids; --$n) {
                        $blocks[] = self::slot('b'.array_pop($ids), ['One?', 'Two?'][$random->getInt(0, 1)]);
                    }
                    if ([] !== $blocks) {
                        $pages[] = new Page($page, '', $blocks);
                    }
                }

                return $pages;
            };
            [$copy, $original] = [$make(), $make()];
            $had = array_merge(...array_column($copy, 'blocks'), ...[[]]);
            $worked = array_values(
                array_filter(array_column($had, 'id'), static fn (): bool => 1 === $random->getInt(0, 1)),
            );
            $update = CopyUpdate::between($copy, $original, $worked);
            $has = array_merge(...array_column($update->pages, 'blocks'), ...[[]]);
            self::assertSame(
                array_unique(array_column($has, 'id')),
                array_column($has, 'id'),
                "seed {$seed}: each is there once",
            );
            foreach ($had as $block) {
                if (\in_array($block->id, $worked, true)) {
                    self::assertContainsEquals($block, $has, "seed {$seed}");
                }
            }
            foreach ($original as $page) {
                self::assertSame(
                    [],
                    array_diff(array_column($page->blocks, 'id'), array_column($has, 'id')),
                    "seed {$seed}: what is new is there",
                );
            }
            self::assertEquals(
                $update->pages,
                CopyUpdate::between($update->pages, $original, $worked)->pages,
                "seed {$seed}: again it is the same",
            );
        }
    }

    private static function slot(string $id, string $prompt): Block
    {
        return new Block($id, BlockKind::Each, $prompt);
    }

    /**
     * @return list<array{string, string}>
     */
    private static function said(CopyUpdate $update): array
    {
        return array_map(static fn (array $one): array => [$one['change']->value, $one['what']], $update->changes);
    }

    /**
     * @return list<array{string, string, string}>
     */
    private static function told(CopyUpdate $update): array
    {
        $blocks = array_merge(...array_column($update->pages, 'blocks'));

        return array_map(
            static fn (Block $block): array => [$block->kind->isSlot() ? 'slot' : 'text', $block->id, $block->text],
            $blocks,
        );
    }
}
