<?php

declare(strict_types=1);

namespace FreshHuddle\App\Serve;

/**
 * What came over the socket is not FastCGI, ended in the middle, or is more than a request may be.
 */
final class Malformed extends \RuntimeException
{
}
