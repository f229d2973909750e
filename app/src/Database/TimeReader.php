<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Doctrine\DBAL\Connection;

/**
 * What time it is at the database. By hand: it is one expression and no table.
 */
final readonly class TimeReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return int milliseconds since 1970
     */
    public function ms(): int
    {
        $ms = $this->db->fetchOne('SELECT (extract(epoch FROM clock_timestamp()) * 1000)::bigint');

        return is_numeric($ms)
            ? (int) $ms
            : throw new \UnexpectedValueException('The database does not know what time it is.');
    }
}
