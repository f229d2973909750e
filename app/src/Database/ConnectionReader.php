<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Doctrine\DBAL\Connection;

/**
 * Whether the database is still there, for processes that stay with their connection. By hand: it is the connection
 * itself that is asked about.
 */
final class ConnectionReader
{
    /** Seconds after which a connection that rested is tried before somebody depends on it. */
    private const RESTED = 0.2;

    private float $asked = 0.0;

    public function __construct(private readonly Connection $db)
    {
    }

    /**
     * The database may have been away meanwhile: whoever comes first shall not be the one who finds out.
     */
    public function wake(): void
    {
        if (!$this->db->isConnected() || microtime(true) - $this->asked < self::RESTED) {
            return;
        }
        try {
            $this->db->executeQuery('SELECT 1');
        } catch (\Throwable) {
            $this->db->close();
        }
    }

    /**
     * @param bool $broke nobody knows what state it is in: the next begins with another
     */
    public function rest(bool $broke): void
    {
        if ($broke || $this->db->isTransactionActive()) {
            $this->db->close();
        }
        $this->asked = microtime(true);
    }
}
