<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Materials;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\CopyName;
use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Original;
use FreshHuddle\Core\Materials\SlotAccess;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OriginalTest extends TestCase
{
    public function test_slots_are_the_blocks_students_write_in(): void
    {
        $original = new Original('Sheet', [new Block('a', BlockKind::Text, 'Read.'), new Block('b', BlockKind::Each, 'You?'), new Block('c', BlockKind::Together, 'We?')]);
        self::assertSame(['b', 'c'], array_map(static fn (Block $block): string => $block->id, $original->slots()));
        self::assertSame('Read.', $original->block('a')?->text);
        self::assertNull($original->block('z'));
    }

    /**
     * @param callable(): object $make
     */
    #[DataProvider('unusable')]
    public function test_what_cannot_be_used_is_refused(callable $make): void
    {
        $this->expectException(UnusableOriginal::class);
        $make();
    }

    /**
     * @return iterable<string, array{callable(): object}>
     */
    public static function unusable(): iterable
    {
        $block = static fn (string $id = 'a'): Block => new Block($id, BlockKind::Text, 'Text');
        yield 'no title' => [static fn (): object => new Original('  ', [])];
        yield 'a long title' => [static fn (): object => new Original(str_repeat('x', 121), [])];
        yield 'two blocks of one id' => [static fn (): object => new Original('T', [$block(), $block()])];
        yield 'too many blocks' => [static fn (): object => new Original('T', array_map(static fn (int $i): Block => $block("b{$i}"), range(1, 41)))];
        yield 'a very long text' => [static fn (): object => new Block('a', BlockKind::Text, str_repeat('x', 20_001))];
        yield 'an id with a slash' => [static fn (): object => new Block('a/b', BlockKind::Text, 'x')];
    }

    public function test_who_may_write_where(): void
    {
        $access = new SlotAccess(['ada', 'ben']);
        $each = new Block('e', BlockKind::Each, 'You?');
        $together = new Block('t', BlockKind::Together, 'We?');
        $text = new Block('x', BlockKind::Text, 'Read.');
        self::assertTrue($access->mayWrite('ada', $each, 'ada'));
        self::assertFalse($access->mayWrite('ada', $each, 'ben'), 'not in another’s column');
        self::assertFalse($access->mayWrite('ada', $each, null));
        self::assertTrue($access->mayWrite('ben', $together, null));
        self::assertFalse($access->mayWrite('ben', $together, 'ben'));
        self::assertFalse($access->mayWrite('ada', $text, null), 'nobody writes in the text');
        foreach ([$each, $together, $text] as $slot) {
            foreach ([null, 'ada', 'chi'] as $column) {
                self::assertFalse($access->mayWrite('chi', $slot, $column), 'nobody from outside writes anywhere');
            }
        }
        self::assertFalse($access->mayRead('chi'));
    }

    public function test_names_of_copies_sort_by_class_and_group(): void
    {
        $names = array_map(static fn (int $n): string => CopyName::for('9G', $n, 12, "Group {$n}", 'Sheet'), range(1, 12));
        $sorted = $names;
        sort($sorted, \SORT_STRING);
        self::assertSame($names, $sorted);
        self::assertSame('9G · 02 Millbrook · Sheet', CopyName::for('9G', 2, 6, 'Millbrook', 'Sheet'));
    }

    public function test_an_original_may_be_unfinished_and_copies_are_made_when_every_slot_says_what_to_write(): void
    {
        $text = new Block('t', BlockKind::Text, " \n\u{A0}");
        $slot = new Block('s', BlockKind::Each, 'What do you see?');
        self::assertSame([$slot], (new Original('Sheet', [$text, $slot]))->forCopies(), 'a text that is still empty is left out');
        foreach (['materials.original.without_slot' => [$text], 'materials.original.empty_slot' => [$slot, new Block('e', BlockKind::Together, '')]] as $why => $blocks) {
            try {
                (new Original('Sheet', $blocks))->forCopies();
                self::fail($why);
            } catch (UnusableOriginal $e) {
                self::assertSame($why, $e->says->code);
            }
        }
    }
}
