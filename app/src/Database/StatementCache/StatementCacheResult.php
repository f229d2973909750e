<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database\StatementCache;

use Doctrine\DBAL\Driver\Result;

/**
 * An answer of the database that stands by itself. Columns have names of their own, each once.
 */
final class StatementCacheResult implements Result
{
    private int $at = 0;

    /**
     * @param list<array<string, mixed>> $rows
     * @param int|numeric-string         $affected
     */
    public function __construct(
        private array $rows,
        private readonly int $columns,
        private readonly int|string $affected,
    ) {
    }

    public function fetchNumeric(): array|false
    {
        $row = $this->next();

        return false === $row ? false : array_values($row);
    }

    public function fetchAssociative(): array|false
    {
        return $this->next();
    }

    public function fetchOne(): mixed
    {
        $row = $this->next();

        return false === $row ? false : reset($row);
    }

    public function fetchAllNumeric(): array
    {
        return array_map(array_values(...), $this->rest());
    }

    public function fetchAllAssociative(): array
    {
        return $this->rest();
    }

    public function fetchFirstColumn(): array
    {
        return array_map(static fn (array $row): mixed => reset($row), $this->rest());
    }

    public function rowCount(): int|string
    {
        return $this->affected;
    }

    public function columnCount(): int
    {
        return $this->columns;
    }

    public function free(): void
    {
        $this->rows = [];
    }

    /**
     * @return array<string, mixed>|false
     */
    private function next(): array|false
    {
        return $this->rows[$this->at++] ?? false;
    }

    /**
     * @return list<array<string, mixed>>
     */
    private function rest(): array
    {
        $rest = 0 === $this->at ? $this->rows : \array_slice($this->rows, $this->at);
        $this->at = \count($this->rows);

        return $rest;
    }
}
