<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * It is of no use to try once more; why, for the teacher.
 */
final class GaveUp extends Refused
{
    public function __construct(Message $why)
    {
        parent::__construct($why);
    }
}
