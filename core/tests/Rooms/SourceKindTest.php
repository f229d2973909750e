<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Rooms;

use FreshHuddle\Core\Rooms\SourceKind;
use PHPUnit\Framework\TestCase;

/**
 * What can be asked of rooms by where they come from; pages are held to the same file.
 */
final class SourceKindTest extends TestCase
{
    public function test_pages_and_server_take_each_kind_for_the_same(): void
    {
        $known = json_decode((string) file_get_contents(__DIR__.'/sources.json'), true, 4, \JSON_THROW_ON_ERROR);
        self::assertEquals(
            $known,
            array_map(
                static fn (SourceKind $kind): array => [
                    'kind' => $kind->value,
                    'hasLink' => $kind->hasLink(),
                    'answers' => $kind->answers(),
                    'isHere' => $kind->isHere(),
                    'mayNeedOpening' => $kind->mayNeedOpening(),
                    'isPasted' => $kind->isPasted(),
                    'isFromPattern' => $kind->isFromPattern(),
                ],
                SourceKind::cases(),
            ),
        );
    }
}
