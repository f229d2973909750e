<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media\Store;

/**
 * A file cannot be had, or not be kept, now.
 */
final class FileAway extends \RuntimeException
{
}
