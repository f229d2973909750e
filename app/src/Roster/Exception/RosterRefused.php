<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class RosterRefused extends Refusal
{
}
