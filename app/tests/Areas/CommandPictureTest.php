<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Areas;

use FreshHuddle\App\Areas\CommandPicture;
use PHPUnit\Framework\TestCase;

/**
 * The drawing of a live command's way is drawn from the code.
 */
final class CommandPictureTest extends TestCase
{
    public function test_the_picture_in_the_docs_is_what_the_code_says(): void
    {
        self::assertStringEqualsFile(
            \dirname(__DIR__, 3).'/docs/architecture/live-command.md',
            (new CommandPicture())->markdown(),
            'stale: bin/console huddle:live-command > docs/architecture/live-command.md',
        );
    }

    public function test_events_are_kept_before_anybody_is_told(): void
    {
        $way = (new CommandPicture())->markdown();
        $kept = strpos($way, 'EventStore: append');
        $told = strpos($way, 'Stream: publish');
        self::assertIsInt($kept);
        self::assertIsInt($told);
        self::assertLessThan($told, $kept);
    }
}
