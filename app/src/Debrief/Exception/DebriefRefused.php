<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class DebriefRefused extends Refusal
{
}
