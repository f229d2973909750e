<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Areas;

use FreshHuddle\App\Areas\AreaList;
use FreshHuddle\App\Areas\AreaPicture;
use PHPUnit\Framework\TestCase;

/**
 * The drawing of the areas is drawn from the code.
 */
final class AreaPictureTest extends TestCase
{
    public function test_the_picture_in_the_docs_is_what_the_code_says(): void
    {
        self::assertStringEqualsFile(
            self::root().'/docs/architecture/areas.md',
            self::picture(),
            'stale: bin/console huddle:areas > docs/architecture/areas.md',
        );
    }

    public function test_an_area_uses_those_before_it_and_none_after(): void
    {
        preg_match_all('/^    (\w+) --> (\w+)$/m', self::picture(), $arrows, \PREG_SET_ORDER);
        self::assertGreaterThan(15, \count($arrows));
        $order = array_flip(AreaList::names());
        foreach ($arrows as [$arrow, $from, $to]) {
            self::assertGreaterThan($order[$to], $order[$from], $arrow);
        }
    }

    private static function picture(): string
    {
        return (new AreaPicture(self::root()))->markdown();
    }

    private static function root(): string
    {
        return \dirname(__DIR__, 3);
    }
}
