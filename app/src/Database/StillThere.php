<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Exception;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/**
 * A connection that outlives requests may have died between two of them, with the server, and not have noticed: what
 * the server said last still lies there to be read. It is asked before it is used, and opened anew where it does not
 * answer; so nobody's first request after that fails.
 */
final class StillThere implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                if (true !== ($params['persistent'] ?? false)) {
                    return parent::connect($params);
                }
                try {
                    $connection = parent::connect($params); // which asks something by itself, and may fail at that
                    $connection->exec('SELECT 1');

                    return $connection;
                } catch (Exception) {
                    // By now it knows, and is opened anew.
                    return parent::connect($params);
                }
            }
        };
    }
}
