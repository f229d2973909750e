<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database\StatementCache;

use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Statement;

/**
 * Keeps the statements it has prepared, the latest used last; above MOST the one that was not used for longest goes.
 */
final class StatementCacheConnection extends AbstractConnectionMiddleware
{
    private const MOST = 300;

    /** @var array<string, StatementCacheStatement> by SQL */
    private array $kept = [];

    public function __construct(Connection $connection)
    {
        parent::__construct($connection);
    }

    public function prepare(string $sql): Statement
    {
        $statement =
            $this->kept[$sql] ?? new StatementCacheStatement(parent::prepare($sql), 1 === preg_match('/^\s*SELECT\b/i', $sql));
        unset($this->kept[$sql]);
        if (\count($this->kept) >= self::MOST) {
            array_shift($this->kept);
        }

        return $this->kept[$sql] = $statement;
    }
}
