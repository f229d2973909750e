<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class ReadyRefused extends Refusal
{
}
