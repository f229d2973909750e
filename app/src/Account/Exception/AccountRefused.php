<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Exception;

use FreshHuddle\App\Refusal\Refusal;

final class AccountRefused extends Refusal
{
}
