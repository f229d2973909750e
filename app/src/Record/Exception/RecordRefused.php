<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class RecordRefused extends Refusal
{
}
