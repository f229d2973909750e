<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Record;

use FreshHuddle\Core\Record\StripCode;
use FreshHuddle\Core\Record\StripKind;
use FreshHuddle\Core\Record\StripSpan;
use PHPUnit\Framework\TestCase;

/**
 * Strips in few numbers.
 */
final class StripCodeTest extends TestCase
{
    public function test_a_span_is_its_beginning_its_kind_and_its_group(): void
    {
        $strip = [
            new StripSpan(1_000, 1_200, StripKind::Away),
            new StripSpan(1_200, 1_500, StripKind::Group, 'b'),
            new StripSpan(1_500, 2_000, StripKind::Main),
        ];
        $codes = StripCode::spans($strip, 1_000, ['a', 'b']);
        self::assertSame([[0, 4, -1], [200, 1, 1], [500, 0, -1]], $codes);
        foreach ($codes as $i => [, $kind]) {
            self::assertSame($strip[$i]->kind, StripKind::cases()[$kind]);
        }
    }

    public function test_what_was_written_lies_in_parts_of_the_lesson_each_once(): void
    {
        self::assertSame([0, 120, 239], StripCode::parts([1_000, 1_001, 1_500, 1_501, 2_000], 1_000, 2_000));
        self::assertSame([0, 239], StripCode::parts([0, 9_000], 1_000, 2_000), 'what lies outside is at an end');
        self::assertSame([], StripCode::parts([], 5, 5));
    }
}
