<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database\StatementCache;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/**
 * A process that stays with its connection asks the same few questions again and again. PostgreSQL reads and plans each
 * once: its prepared statement is kept with the connection, where the driver alone has every question read and planned
 * anew.
 */
final class StatementCache implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $options = $params['driverOptions'] ?? [];

                return new StatementCacheConnection(
                    parent::connect(
                        ['driverOptions' => [\PDO::PGSQL_ATTR_DISABLE_PREPARES => false] + $options] + $params,
                    ),
                );
            }
        };
    }
}
