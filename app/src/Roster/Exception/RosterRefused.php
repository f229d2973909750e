<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Exception;

use FreshHuddle\App\Refusal\Refusal;

final class RosterRefused extends Refusal
{
}
