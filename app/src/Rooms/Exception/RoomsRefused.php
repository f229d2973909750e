<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class RoomsRefused extends Refusal
{
}
