<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Exception;

use FreshHuddle\App\Refusal\Refusal;

final class LiveRefused extends Refusal
{
}
