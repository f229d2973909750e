<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests;

use FreshHuddle\Core\Visible;
use PHPUnit\Framework\TestCase;

/**
 * What counts as empty.
 */
final class VisibleTest extends TestCase
{
    public function test_what_shows_nothing_is_nothing(): void
    {
        foreach (
            [
                '', ' ', "\t\n", "\u{A0}", "\u{200B}\u{200D}",
                "\u{3164}", "\u{2800} \u{FE0F}", "\u{AD}", "\u{E0020}",
            ] as $text
        ) {
            self::assertFalse(Visible::check($text), bin2hex($text));
            self::assertSame('', Visible::or($text));
        }
        foreach (['a', '.', ' 山 ', '👍', "\u{200F}ن", '½'] as $text) {
            self::assertTrue(Visible::check($text), $text);
        }
    }
}
