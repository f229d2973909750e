<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class GroupingRefused extends Refusal
{
}
