<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database\Kept;

use Doctrine\DBAL\Driver\Middleware\AbstractStatementMiddleware;
use Doctrine\DBAL\Driver\Result;
use Doctrine\DBAL\Driver\Statement;

/**
 * A prepared statement for many questions. What it answers is taken whole at once (the driver has it whole in any case),
 * so that asking again never disturbs somebody who is still reading.
 */
final class KeptStatement extends AbstractStatementMiddleware
{
    public function __construct(Statement $statement)
    {
        parent::__construct($statement);
    }

    public function execute(): Result
    {
        $result = parent::execute();
        $columns = $result->columnCount();
        $whole = new KeptResult($columns > 0 ? $result->fetchAllAssociative() : [], $columns, $result->rowCount());
        $result->free();

        return $whole;
    }
}
