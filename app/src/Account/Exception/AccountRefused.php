<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class AccountRefused extends Refusal
{
}
