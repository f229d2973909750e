<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Exception;

use FreshHuddle\App\Refusal\Refusal;

final class ReadyRefused extends Refusal
{
}
