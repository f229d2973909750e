<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * It did not work, and may work later; why, for the teacher, if it never does.
 */
final class TryAgain extends Refused
{
    /**
     * @param int $inMilliseconds how long to wait first
     */
    public function __construct(Message $why, public readonly int $inMilliseconds)
    {
        parent::__construct($why);
    }
}
