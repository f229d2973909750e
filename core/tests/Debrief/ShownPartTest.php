<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Debrief;

use FreshHuddle\Core\Debrief\HoldUp\ShownPart;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Page;
use FreshHuddle\Core\Materials\SlotPart;
use PHPUnit\Framework\TestCase;

/**
 * What of a piece of work everybody may see.
 */
final class ShownPartTest extends TestCase
{
    public function test_a_page_a_place_or_one_answer_is_shown(): void
    {
        $page = new ShownPart('page-1');
        self::assertTrue($page->hasPage('page-1'));
        self::assertFalse($page->hasPage('page-2'));
        self::assertTrue($page->hasAnswer('anything', 'ada'));
        $place = new ShownPart(null, 'noticed');
        self::assertTrue($place->hasBlock(self::block('noticed')));
        self::assertFalse($place->hasBlock(self::block('decision')));
        self::assertTrue($place->hasAnswer('noticed', 'ada'));
        self::assertFalse($place->hasAnswer('decision', 'ada'));
        $one = new ShownPart(null, 'noticed', 'ada');
        self::assertTrue($one->hasAnswer('noticed', 'ada'));
        self::assertFalse($one->hasAnswer('noticed', 'ben'));
    }

    public function test_what_only_a_part_of_the_group_may_see_is_shown_by_itself_or_not_at_all(): void
    {
        $private = self::block('secret', new BlockSettings(part: new SlotPart([1], '', true)));
        self::assertFalse((new ShownPart('page-1'))->hasBlock($private));
        self::assertTrue((new ShownPart(null, 'secret'))->hasBlock($private));
    }

    public function test_what_differs_between_variants_would_say_whose_it_is(): void
    {
        $copy = static fn (string $district): array => [
            new Page('page-1', '', [
                new Block('brief', BlockKind::Text, 'Larkmouth floods.'),
                new Block('district', BlockKind::Text, $district),
                new Block('noticed', BlockKind::Each, 'What do you notice?'),
            ]),
        ];
        self::assertSame(['district' => true], ShownPart::telling([$copy('Quayside'), $copy('Millbrook')]));
        self::assertSame([], ShownPart::telling([$copy('Quayside')]), 'where all have the same it says nothing');
        self::assertNull(ShownPart::forAll(new Block('district', BlockKind::Text, 'Quayside'), true));
        self::assertSame('', ShownPart::forAll(self::block('noticed'), true)?->text, 'the answer is shown all the same');
    }

    public function test_right_answers_are_not_shown_with_the_work(): void
    {
        $cards = new BlockSettings(
            items: [new BlockItem('m1', 'A higher wall', 'stops')],
            heads: [new BlockItem('stops', 'Stops water')],
        );
        $shown = ShownPart::forAll(new Block('measures', BlockKind::Sort, 'Sort', $cards), false);
        self::assertSame('', $shown?->settings->items[0]->under);
        self::assertSame('A higher wall', $shown->settings->items[0]->text);
    }

    public function test_the_order_of_answers_says_nothing_of_seats_and_stays(): void
    {
        $owners = array_map(static fn (int $i): string => "student-{$i}", range(1, 8));
        $first = [];
        foreach (range(1, 300) as $salt) {
            $mixed = ShownPart::mix($owners, "salt {$salt}");
            self::assertSame($mixed, ShownPart::mix(array_reverse($owners), "salt {$salt}"));
            $first[$mixed[0]] = ($first[$mixed[0]] ?? 0) + 1;
            sort($mixed);
            self::assertSame($owners, $mixed);
        }
        self::assertCount(8, $first);
        self::assertGreaterThan(15, min($first));
    }

    private static function block(string $id, BlockSettings $settings = new BlockSettings()): Block
    {
        return new Block($id, BlockKind::Each, 'What do you notice?', $settings);
    }
}
