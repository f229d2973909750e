<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\DryRun;

use FreshHuddle\Core\DryRun\Blanks;
use FreshHuddle\Core\DryRun\Scribble;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\Page;
use FreshHuddle\Core\Tests\Materials\Slot\SlotContractTest;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;

/**
 * What simulated students write is something each slot can hold, and fills it in the end.
 */
final class ScribbleTest extends TestCase
{
    /**
     * @param list<string> $good
     * @param list<string> $bad
     */
    #[DataProviderExternal(SlotContractTest::class, 'slots')]
    public function test_it_can_be_held_and_fills_the_slot(Block $block, array $good, array $bad, string $full): void
    {
        $slot = $block->kind->slot();
        self::assertNotNull($slot);
        if (BlockKind::OwnPictures === $block->kind) {
            self::assertNull(Scribble::in($block, 'a photo'), 'they have no camera');

            return;
        }
        $share = 0.0;
        foreach ([1, 10, 60, 400, 2_000] as $letters) {
            $value = $slot->read(Scribble::in($block, str_repeat('ab ', $letters)) ?? '', $block);
            self::assertGreaterThanOrEqual($share, $slot->share($value, $block), 'more is not less');
            $share = $slot->share($value, $block);
        }
        self::assertSame(1.0, $share);
    }

    public function test_what_is_to_be_filled_is_what_they_can_fill_with_what_is_read_before(): void
    {
        $blanks = Blanks::of([
            new Page('p', '', [
                new Block('t', BlockKind::Text, 'Three small words'),
                new Block('q', BlockKind::Each, 'You?'),
                new Block('photo', BlockKind::OwnPictures, 'Your photo'),
            ]),
            new Page('r', '', [new Block('w', BlockKind::Together, 'All of you?')]),
        ]);
        self::assertSame(['q', 'w'], array_column($blanks, 'slot'));
        self::assertSame([true, false], array_column($blanks, 'isOwn'));
        self::assertSame([4, 5], array_column($blanks, 'words'));
    }
}
