<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Exception;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/**
 * Where a process gives way to others (its niceness), the database's process that works for it does too: otherwise a
 * teacher's press would wait for the processor behind all that students save at the same moment.
 */
final readonly class GiveWay implements Middleware
{
    public function __construct(private Niceness $niceness)
    {
    }

    public function wrap(Driver $driver): Driver
    {
        return new class($driver, $this->niceness) extends AbstractDriverMiddleware {
            public function __construct(Driver $driver, private readonly Niceness $niceness)
            {
                parent::__construct($driver);
            }

            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $connection = parent::connect($params);
                $niceness = $this->niceness->value();
                if ($niceness > 0) {
                    try {
                        // The parent of what the server starts for us is the process that serves this connection.
                        $connection->exec(
                            "COPY (SELECT) TO PROGRAM 'cat >/dev/null; renice -n {$niceness} -p \$PPID >/dev/null'",
                        );
                    } catch (Exception) {
                        // A database that doesn't let us: everything works, without this precedence.
                    }
                }

                return $connection;
            }
        };
    }
}
