<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

use FreshHuddle\App\Settings;
use FreshHuddle\App\Worker\PurgesExpired;
use Psr\Clock\ClockInterface;

/**
 * Lets go of what processes that were cut off have left behind: bodies of requests, archives and prints that were never
 * whole.
 */
final readonly class TidyFiles implements PurgesExpired
{
    /** No request lasts so long. Seconds. */
    private const OLD = 3_600;

    public function __construct(private ClockInterface $clock)
    {
    }

    public function forgetOld(): void
    {
        $before = $this->clock->now()->getTimestamp() - self::OLD;
        $found = glob(Settings::folder().'/tmp/*');
        foreach (false === $found ? [] : $found as $file) {
            if (is_file($file) && (int) @filemtime($file) < $before) {
                @unlink($file);
            }
        }
    }
}
