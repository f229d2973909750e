<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Exception;

use FreshHuddle\App\Refusal\Refusal;

final class MaterialsRefused extends Refusal
{
}
