<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch\Part;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception;
use FreshHuddle\App\Watch\Part;

/**
 * Everything that is kept.
 */
final readonly class DatabasePart implements Part
{
    public function __construct(private Connection $db)
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
            return 1 === $this->db->fetchOne('SELECT 1');
        } catch (Exception) {
            return false;
        }
    }
}
