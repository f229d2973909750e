<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

/**
 * What was said could not be put into one file. What the media server has kept is still there.
 */
final class MixingFailed extends \RuntimeException
{
    public static function at(string $step, string $why): self
    {
        return new self("The recording could not be made ({$step}): ".mb_substr(trim($why), 0, 300));
    }
}
