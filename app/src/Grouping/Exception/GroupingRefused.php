<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Exception;

use FreshHuddle\App\Refusal\Refusal;

final class GroupingRefused extends Refusal
{
}
