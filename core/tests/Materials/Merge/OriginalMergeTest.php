<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials\Merge;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Merge\OriginalMerge;
use FreshHuddle\Core\Materials\Original;
use FreshHuddle\Core\Materials\Page;
use FreshHuddle\Core\Materials\Variant;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Two windows that change one worksheet.
 */
final class OriginalMergeTest extends TestCase
{
    /**
     * @param array<string, array<string, string>> $pages texts by block's id, by page's id
     */
    private static function original(array $pages, string $title = 'The wall'): Original
    {
        return new Original(
            $title,
            array_map(
                static fn (string $page, array $blocks): Page => new Page(
                    $page,
                    '',
                    array_map(
                        static fn (string $id, string $text): Block => new Block($id, BlockKind::Each, $text),
                        array_keys($blocks),
                        array_values($blocks),
                    ),
                ),
                array_keys($pages),
                array_values($pages),
            ),
        );
    }

    /**
     * @return array<string, array<string, string>>
     */
    private static function texts(Original $original): array
    {
        $texts = [];
        foreach ($original->pages as $page) {
            $texts[$page->id] = [];
            foreach ($page->blocks as $block) {
                $texts[$page->id][$block->id] = $block->text;
            }
        }

        return $texts;
    }

    public function test_two_windows_that_write_in_different_blocks_and_in_one_have_it_all(): void
    {
        $base = self::original(['p' => ['a' => 'one two three', 'b' => 'north']]);
        $theirs = self::original(['p' => ['a' => 'one two three four', 'b' => 'north']]);
        $mine = self::original(['p' => ['a' => 'zero one two three', 'b' => 'south']], 'The quay');
        $merged = (new OriginalMerge())->merge($base, $theirs, $mine);
        self::assertSame(['p' => ['a' => 'zero one two three four', 'b' => 'south']], self::texts($merged));
        self::assertSame('The quay', $merged->title);
    }

    public function test_blocks_put_in_by_both_stand_where_each_put_them(): void
    {
        $merged = (new OriginalMerge())->merge(
            self::original(['p' => ['a' => 'A', 'b' => 'B']]),
            self::original(['p' => ['a' => 'A', 'x' => 'X', 'b' => 'B']]),
            self::original(['p' => ['m' => 'M', 'a' => 'A', 'b' => 'B', 'n' => 'N']]),
        );
        self::assertSame(['m', 'a', 'x', 'b', 'n'], array_keys(self::texts($merged)['p']));
    }

    public function test_what_one_took_out_goes_unless_the_other_changed_it(): void
    {
        $base = self::original(['p' => ['a' => 'A', 'b' => 'B'], 'q' => ['c' => 'C']]);
        $merged = (new OriginalMerge())->merge(
            $base,
            self::original(['p' => ['a' => 'A', 'b' => 'B changed']]),
            self::original(['p' => [], 'q' => ['c' => 'C']]),
        );
        self::assertSame(['p' => ['b' => 'B changed']], self::texts($merged));
        $merged = (new OriginalMerge())->merge(
            $base,
            self::original(['p' => ['a' => 'A', 'b' => 'B']]),
            self::original(['p' => ['a' => 'A', 'b' => 'B'], 'q' => ['c' => 'C more']]),
        );
        self::assertSame(['p' => ['a' => 'A', 'b' => 'B'], 'q' => ['c' => 'C more']], self::texts($merged));
    }

    public function test_a_block_that_one_moved_and_the_other_wrote_in_is_there_once(): void
    {
        $merged = (new OriginalMerge())->merge(
            self::original(['p' => ['a' => 'A', 'b' => 'B'], 'q' => ['c' => 'C']]),
            self::original(['p' => ['b' => 'B'], 'q' => ['a' => 'A', 'c' => 'C']]),
            self::original(['p' => ['a' => 'A and more', 'b' => 'B'], 'q' => ['c' => 'C']]),
        );
        self::assertSame(['p' => ['b' => 'B'], 'q' => ['a' => 'A and more', 'c' => 'C']], self::texts($merged));
    }

    public function test_settings_and_variants_of_both_stay(): void
    {
        $of = static fn (BlockSettings $settings, Variant ...$variants): Original => new Original(
            'T',
            [new Page('p', '', [new Block('a', BlockKind::Ticks, 'x', $settings)])],
            array_values($variants),
        );
        $merged = (new OriginalMerge())->merge(
            $of(new BlockSettings()),
            $of(new BlockSettings(alone: true), new Variant('easy', 'Easy')),
            $of(new BlockSettings(growing: true), new Variant('hard', 'Hard')),
        );
        self::assertSame(
            [true, true],
            [$merged->blocks()[0]->settings->alone, $merged->blocks()[0]->settings->growing],
        );
        self::assertSame(['easy', 'hard'], array_map(static fn (Variant $one): string => $one->id, $merged->variants));
    }

    public function test_whatever_two_do_every_word_that_only_one_side_wrote_is_there(): void
    {
        $random = new Randomizer(new Mt19937(19));
        $merge = new OriginalMerge();
        for ($case = 0; $case < 400; ++$case) {
            $base = self::texts(
                self::original([
                    'p' => ['a' => 'aa ab', 'b' => 'ba bb', 'c' => 'ca'],
                    'q' => ['d' => 'da', 'e' => 'ea'],
                ]),
            );
            $sides = [];
            foreach (['left', 'right'] as $side) {
                $pages = $base;
                $written = [];
                for ($edit = $random->getInt(1, 5); $edit > 0; --$edit) {
                    $page = 0 === $random->getInt(0, 1) ? 'p' : 'q';
                    $ids = array_keys($pages[$page]);
                    $id = [] === $ids ? null : $ids[$random->getInt(0, \count($ids) - 1)];
                    $word = "{$side}{$edit}";
                    switch ($random->getInt(0, 3)) {
                        case 0:
                            $pages[$page]["{$side}-{$edit}"] = $word;
                            $written[] = $word;
                            break;
                        case 1:
                            if (null !== $id) {
                                $pages[$page][$id] .= " {$word}";
                                $written[] = $word;
                            }
                            break;
                        case 2:
                            if (
                                null !== $id
                                && isset($base[$page][$id])
                                && $base[$page][$id] === $pages[$page][$id]
                            ) {
                                unset($pages[$page][$id]);
                            }
                            break;
                        default:
                            $pages[$page] = array_reverse($pages[$page], true);
                    }
                }
                $sides[$side] = [$pages, $written];
            }
            $merged = $merge->merge(
                self::original($base),
                self::original($sides['left'][0]),
                self::original($sides['right'][0]),
            );
            $all = implode(' ', array_merge(...array_map(array_values(...), array_values(self::texts($merged)))));
            foreach ([...$sides['left'][1], ...$sides['right'][1]] as $word) {
                self::assertStringContainsString($word, $all, "case {$case}");
            }
            // Nobody else's change: what the one window has is what comes out.
            self::assertSame(
                self::texts(self::original($sides['left'][0])),
                self::texts(
                    $merge->merge(self::original($base), self::original($sides['left'][0]), self::original($base)),
                ),
            );
            self::assertSame(
                self::texts(self::original($sides['right'][0])),
                self::texts(
                    $merge->merge(self::original($base), self::original($base), self::original($sides['right'][0])),
                ),
            );
        }
    }

    public function test_what_it_may_cost_is_bounded_before_it_begins_and_nothing_is_lost_by_that(): void
    {
        $words = static fn (string $seed): string => implode(
            ' ',
            array_map(static fn (int $i): string => substr(md5("{$seed}{$i}"), 0, 2), range(1, 2_500)),
        );
        $of = static fn (string $seed): Original => new Original('T', [
            new Page(
                'p',
                '',
                array_map(
                    static fn (int $i): Block => new Block("b{$i}", BlockKind::Text, $words("{$seed}{$i} ")),
                    range(1, 60),
                ),
            ),
        ]);
        [$base, $theirs, $mine] = [$of('base'), $of('theirs'), $of('mine')];
        self::assertSame(60, OriginalMerge::contested($base, $theirs, $mine));
        $merged = (new OriginalMerge())->merge($base, $theirs, $mine);
        foreach ($merged->blocks() as $i => $block) {
            self::assertStringContainsString($theirs->blocks()[$i]->text, $block->text);
        }
        self::assertSame(
            0,
            OriginalMerge::contested($base, $base, $mine),
            'what only one side has changed is not contested',
        );
    }
}
