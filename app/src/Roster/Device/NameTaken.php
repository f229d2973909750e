<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

/**
 * Another device speaks for this student.
 */
final class NameTaken extends \RuntimeException
{
}
