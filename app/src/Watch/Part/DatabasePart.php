<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch\Part;

use Doctrine\DBAL\Exception;
use FreshHuddle\App\Database\TimeReader;
use FreshHuddle\App\Watch\Part;

/**
 * Everything that is kept.
 */
final readonly class DatabasePart implements Part
{
    public function __construct(private TimeReader $time)
    {
    }

    public function name(): string
    {
        return 'database';
    }

    public function isNeeded(): bool
    {
        return true;
    }

    public function isUp(): bool
    {
        try {
            return $this->time->ms() > 0;
        } catch (Exception) {
            return false;
        }
    }
}
