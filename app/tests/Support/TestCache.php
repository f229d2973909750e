<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use FreshHuddle\App\Settings;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Finder\Finder;

/**
 * Tests run without Symfony's debugging, whose container looks at its own age; here it is looked at once a run.
 */
final class TestCache
{
    public static function forgetIfOlderThanTheCode(): void
    {
        $folder = Settings::folder().'/cache/app-test';
        $container = glob($folder.'/*Container.php');
        if (false === $container || [] === $container) {
            return;
        }
        $made = (int) filemtime($container[0]);
        $root = \dirname(__DIR__, 2);
        $changed = Finder::create()
            ->files()
            ->in([$root.'/src', $root.'/config', $root.'/translations', \dirname($root).'/core/src'])
            ->filter(static fn (\SplFileInfo $file): bool => $file->getMTime() > $made);
        foreach ($changed as $file) {
            (new Filesystem())->remove($folder);

            return;
        }
    }
}
