<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class MaterialsRefused extends Refusal
{
}
