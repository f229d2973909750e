<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use Doctrine\DBAL\Connection;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\PdoSessionHandler;

/**
 * Sessions in the application's own database, over the connection that a request has anyway. Without locks: a session
 * holds who is signed in and nothing that two requests could write apart.
 */
final class DatabaseSessions extends PdoSessionHandler
{
    public function __construct(Connection $connection)
    {
        $pdo = $connection->getNativeConnection();
        \assert($pdo instanceof \PDO);
        parent::__construct($pdo, ['db_table' => 'staff_session', 'lock_mode' => self::LOCK_NONE]);
    }
}
