<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class LiveRefused extends Refusal
{
}
