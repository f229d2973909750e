<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Http\File\TidyFiles;
use FreshHuddle\App\Settings;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Clock\MockClock;

/**
 * What requests leave behind is tidied away.
 */
final class TidyFilesTest extends TestCase
{
    public function test_what_a_request_that_was_cut_off_left_goes_after_an_hour_and_nothing_that_is_in_use(): void
    {
        $folder = Settings::folder().'/tmp';
        is_dir($folder) || mkdir($folder, recursive: true);
        $name = $folder.'/php'.bin2hex(random_bytes(4));
        foreach (['old' => 3_700, 'new' => 60] as $which => $age) {
            file_put_contents("{$name}-{$which}", 'x');
            touch("{$name}-{$which}", time() - $age);
        }
        (new TidyFiles(new MockClock()))->forgetOld();
        self::assertSame([false, true], [file_exists("{$name}-old"), file_exists("{$name}-new")]);
        unlink("{$name}-new");
    }
}
