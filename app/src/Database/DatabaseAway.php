<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\DBAL\Exception\DriverException;

/**
 * Tells a database that does not answer from one that answers with an error. SQLSTATE class 08 is a broken connection;
 * 57P01 to 57P03 say that the server is going down or coming up.
 */
final class DatabaseAway
{
    public static function says(\Throwable $error): bool
    {
        if ($error instanceof ConnectionException) {
            return true;
        }
        if ($error instanceof \PDOException || $error instanceof DriverException) {
            return 1 ===
                preg_match(
                    '/SQLSTATE\[(08|57P0)|server closed the connection|no connection to the server|terminating connection/',
                    $error->getMessage(),
                );
        }

        return false;
    }
}
