<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials\Format;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\BlockVariant;
use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Format\MarkdownFile;
use FreshHuddle\Core\Materials\Original;
use FreshHuddle\Core\Materials\Page;
use FreshHuddle\Core\Materials\SlotPart;
use FreshHuddle\Core\Materials\Variant;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Worksheets written as Markdown.
 */
final class MarkdownFileTest extends TestCase
{
    public function test_what_a_teacher_types_is_an_original(): void
    {
        $read = (new MarkdownFile())->read(
            <<<'MD'
                ---
                title: The wall
                subject: Geography
                variant: easy Easy words
                ---
                Larkmouth **floods**.

                - often
                ::: variant easy
                There is water.
                :::

                === Decide
                ::: each
                What do you notice?
                :::

                ::: sort growing
                Put each where it belongs.
                + stops water
                + slows water
                - [stops water] Flood wall
                - [Slows water] Reeds
                - Sirens
                :::

                ::: markUp
                Mark what matters.
                + Important
                > The wall goes north.
                >
                > Or south.
                :::

                ::: link https://maps.larkmouth.example/wall
                The map
                :::

                ::: choose several hidden
                Which?
                - This
                - That
                :::
                MD,
            'Untitled',
        );
        $original = $read['original'];
        self::assertSame(
            ['The wall', 'Geography', ['', 'Decide']],
            [$original->title, $read['found']['subject'], array_column($original->pages, 'title')],
        );
        self::assertSame(
            ['text', 'each', 'sort', 'markUp', 'link', 'choose'],
            array_map(static fn (Block $block): string => $block->kind->value, $original->blocks()),
        );
        [$text, , $sort, $mark, $link, $choose] = $original->blocks();
        self::assertSame(
            ["Larkmouth **floods**.\n\n- often", 'There is water.'],
            [$text->text, $text->in('easy')->text],
        );
        self::assertSame(
            [['Flood wall', 'stops water'], ['Reeds', 'slows water'], ['Sirens', null]],
            array_map(
                static fn (BlockItem $card): array => [$card->text, $sort->settings->head($card->under)?->text],
                $sort->settings->items,
            ),
        );
        self::assertTrue($sort->settings->growing);
        self::assertSame("The wall goes north.\n\nOr south.", $mark->settings->passage);
        self::assertSame('https://maps.larkmouth.example/wall', $link->settings->address);
        self::assertSame([true, false], [$choose->settings->several, $choose->settings->shown]);
        self::assertNull($original->unfinished());
    }

    public function test_a_bare_text_is_one_page_with_one_block(): void
    {
        $original = (new MarkdownFile())->read("# Heading\n\nText.", 'Untitled')['original'];
        self::assertSame(
            ['Untitled', "# Heading\n\nText."],
            [$original->title, $original->pages[0]->blocks[0]->text],
        );
        self::assertSame([], (new MarkdownFile())->read('', 'Untitled')['original']->pages);
    }

    #[TestWith(["::: each\nno end", 1]),
        TestWith(["x\n\n::: riddle\n:::", 3]),
        TestWith(["---\ntitle: x", 2]),
        TestWith(["---\nno field\n---", 2]),
        TestWith(["::: variant easy\nx\n:::", 1]),]
    public function test_the_line_that_cannot_be_read_is_named(string $text, int $line): void
    {
        try {
            (new MarkdownFile())->read($text, 'Untitled');
            self::fail('It was read.');
        } catch (UnusableOriginal $e) {
            self::assertSame(
                ['materials.original.unreadable_line', ['line' => $line]],
                [$e->says->code, $e->says->values],
            );
        }
    }

    public function test_what_is_written_reads_as_the_same_original_whatever_is_in_it(): void
    {
        $words = [
            'wall',
            ' ',
            '- x',
            '> y',
            ':::',
            '===',
            '\\',
            '\\n',
            '# z',
            '[a] b',
            '{#i}',
            '水',
            '🌊',
            '+ q',
            '---',
            'title: x',
            '*',
            '* s',
            "\t",
        ];
        for ($seed = 1; $seed <= 400; ++$seed) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $line = static fn (): string => implode(
                '',
                array_map(
                    static fn (): string => $words[$random->getInt(0, \count($words) - 1)],
                    range(0, $random->getInt(0, 3)),
                ),
            );
            $text = static fn (): string => implode("\n", array_map($line, range(0, $random->getInt(0, 4))));
            $name = static fn (): string => trim($line()).'n';
            $bool = static fn (): bool => 1 === $random->getInt(0, 1);
            $n = 0;
            $variants = $bool() ? [new Variant('v-1', $name()), new Variant('v-2', $name())] : [];
            $pages = [];
            for ($i = $random->getInt(1, 3); $i > 0; --$i) {
                $blocks = [];
                for ($j = $random->getInt(0, 4); $j > 0; --$j) {
                    $kind = BlockKind::cases()[$random->getInt(0, \count(BlockKind::cases()) - 1)];
                    $lists = !\in_array(
                        $kind,
                        [BlockKind::Text, BlockKind::Link, BlockKind::Each, BlockKind::Together, BlockKind::Number],
                        true,
                    );
                    $heads = $lists ? [new BlockItem('h-1', $name()), new BlockItem('h-2', $name())] : [];
                    $items = $lists
                        ? [new BlockItem('i-'.++$n, $name(), 'h-2'), new BlockItem('i-'.++$n, $name())]
                        : [];
                    $blocks[] = new Block(
                        'b-'.++$n,
                        $kind,
                        $text(),
                        new BlockSettings(
                            $items,
                            $heads,
                            BlockKind::MarkUp === $kind ? "a{$text()}b" : '',
                            BlockKind::Link === $kind ? 'https://maps.larkmouth.example/a?b=1' : '',
                            $bool(),
                            $bool(),
                            $bool(),
                            $bool(),
                            '',
                            new SlotPart([[], [1, 12], [3]][$random->getInt(0, 2)], trim($line()), $bool()),
                        ),
                        [] === $variants || $bool()
                            ? []
                            : [new BlockVariant('v-2', $text(), BlockKind::MarkUp === $kind ? "c{$text()}d" : '')],
                    );
                }
                $pages[] = new Page('p-'.++$n, $bool() ? '' : $name(), $blocks);
            }
            $original = new Original($name(), $pages, $variants);
            $found = ['subject' => $name(), 'year' => '', 'about' => $name()];
            $file = MarkdownFile::write($original, $found);
            $read = (new MarkdownFile())->read($file, 'Untitled');
            self::assertEquals($original, $read['original'], "seed {$seed}:\n{$file}");
            self::assertSame($found, $read['found']);
        }
    }
}
