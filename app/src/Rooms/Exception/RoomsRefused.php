<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Exception;

use FreshHuddle\App\Refusal\Refusal;

final class RoomsRefused extends Refusal
{
}
