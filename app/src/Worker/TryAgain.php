<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

final class TryAgain extends \RuntimeException
{
    /**
     * @param int $inMilliseconds how long to wait first
     */
    public function __construct(string $why, public readonly int $inMilliseconds)
    {
        parent::__construct($why);
    }
}
