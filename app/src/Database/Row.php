<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

/**
 * A row as the database gives it, read with the types its columns have.
 */
final readonly class Row
{
    /**
     * @param array<string, mixed> $columns
     */
    public function __construct(private array $columns)
    {
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<self>
     */
    public static function all(array $rows): array
    {
        return array_map(static fn (array $row): self => new self($row), $rows);
    }

    public function text(string $column): string
    {
        $value = $this->columns[$column] ?? null;

        return \is_scalar($value)
            ? (string) $value
            : throw new \UnexpectedValueException("Column {$column} holds no text.");
    }

    public function textOrNull(string $column): ?string
    {
        return null === ($this->columns[$column] ?? null) ? null : $this->text($column);
    }

    public function int(string $column): int
    {
        $value = $this->columns[$column] ?? null;

        return is_numeric($value)
            ? (int) $value
            : throw new \UnexpectedValueException("Column {$column} holds no number.");
    }

    public function intOrNull(string $column): ?int
    {
        return null === ($this->columns[$column] ?? null) ? null : $this->int($column);
    }

    public function bool(string $column): bool
    {
        $value = $this->columns[$column] ?? null;

        return \is_bool($value) ? $value : \in_array($value, ['t', 'true', '1', 1], true);
    }

    public function boolOrNull(string $column): ?bool
    {
        return null === ($this->columns[$column] ?? null) ? null : $this->bool($column);
    }

    /**
     * @return array<array-key, mixed>
     */
    public function json(string $column): array
    {
        $value = json_decode($this->text($column), true, 64, \JSON_THROW_ON_ERROR);

        return \is_array($value)
            ? $value
            : throw new \UnexpectedValueException("Column {$column} holds no JSON object or list.");
    }
}
