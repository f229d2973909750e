<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

/**
 * An object in a JSON text has more fields than anything we take.
 */
final class TooManyFields extends \RuntimeException
{
}
