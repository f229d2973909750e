<?php

declare(strict_types=1);

namespace FreshHuddle\Standin;

/**
 * Where the stand-ins remember.
 */
final class Database
{
    private ?\PDO $pdo = null;

    public function __construct(#[\SensitiveParameter] private readonly string $databaseUrl)
    {
    }

    /**
     * @param list<string|null> $values
     */
    public function run(string $sql, array $values): int
    {
        $statement = $this->pdo()->prepare($sql);
        $statement->execute($values);

        return $statement->rowCount();
    }

    /**
     * @param list<string> $values
     *
     * @return list<array<string, string>>
     */
    public function rows(string $sql, array $values): array
    {
        $statement = $this->pdo()->prepare($sql);
        $statement->execute($values);
        $rows = [];
        foreach ($statement->fetchAll(\PDO::FETCH_ASSOC) as $row) {
            $texts = [];
            foreach (\is_array($row) ? $row : [] as $column => $value) {
                $texts[(string) $column] = \is_scalar($value) ? (string) $value : '';
            }
            $rows[] = $texts;
        }

        return $rows;
    }

    public function pdo(): \PDO
    {
        if (null === $this->pdo) {
            $url = parse_url($this->databaseUrl);
            $part = static fn (string $name): string => \is_array($url) && \is_scalar($url[$name] ?? null)
                ? (string) $url[$name]
                : '';
            $this->pdo = new \PDO(
                \sprintf('pgsql:host=%s;port=%s;dbname=%s', $part('host'), $part('port'), ltrim($part('path'), '/')),
                $part('user'),
                $part('pass'),
                [\PDO::ATTR_PERSISTENT => true],
            );
        }

        return $this->pdo;
    }
}
