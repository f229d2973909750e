<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database\StatementCache;

use Doctrine\DBAL\Driver\Middleware\AbstractStatementMiddleware;
use Doctrine\DBAL\Driver\Result;
use Doctrine\DBAL\Driver\Statement;

/**
 * A prepared statement for many questions. What it answers is taken whole at once (the driver has it whole in any
 * case), so that asking again never disturbs somebody who is still reading.
 */
final class StatementCacheStatement extends AbstractStatementMiddleware
{
    /**
     * @param bool $asks it changes nothing, so that it may be asked again
     */
    public function __construct(Statement $statement, private readonly bool $asks)
    {
        parent::__construct($statement);
    }

    public function execute(): Result
    {
        $result = parent::execute();
        $columns = $result->columnCount();
        $rows = $columns > 0 ? $result->fetchAllAssociative() : [];
        $affected = $result->rowCount();
        $result->free();
        if (isset($rows[0]) && \count($rows[0]) < $columns) {
            return $this->asks
                ? $this->byNumber()
                : throw new \LogicException('Two columns of one name: name them apart.');
        }

        return new StatementCacheResult($rows, $columns, $affected);
    }

    /**
     * Two columns of one name (of questions about the catalogue, none of ours) can be told apart by their numbers
     * alone, so it is asked again.
     */
    private function byNumber(): Result
    {
        $result = parent::execute();
        $names = array_map(static fn (int $n): string => "column {$n}", range(1, $result->columnCount()));
        $rows = array_map(static fn (array $row): array => array_combine($names, $row), $result->fetchAllNumeric());
        $whole = new StatementCacheResult($rows, \count($names), $result->rowCount());
        $result->free();

        return $whole;
    }
}
