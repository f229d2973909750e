<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class DryRunRefused extends Refusal
{
}
