<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Doctrine\DBAL\Connection;

/**
 * Texts in many rows of a table, rewritten for the one who writes it. By hand: rows are many, and only those that
 * change are written.
 */
final readonly class TextStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @param string                   $table   known as `t` in `$which`
     * @param list<string>             $keys    columns
     * @param array<string, int|null>  $columns how many characters each holds, by name; null: any number
     * @param string                   $which   joins and conditions
     * @param array<string, string>    $values  for `$which`
     * @param \Closure(string): string $rewrite
     */
    public function rewrite(
        string $table,
        array $keys,
        array $columns,
        string $which,
        array $values,
        \Closure $rewrite,
    ): void {
        $asked = implode(', t.', [...$keys, ...array_keys($columns)]);
        foreach ($this->db->iterateAssociative("SELECT t.{$asked} FROM {$table} t {$which}", $values) as $columnsOf) {
            $row = new Row($columnsOf);
            $changed = [];
            foreach ($columns as $column => $most) {
                $text = $row->textOrNull($column);
                $new = null === $text ? null : $rewrite($text);
                if ($new !== $text) {
                    $changed[$column] = null === $new || null === $most ? $new : mb_substr($new, 0, $most);
                }
            }
            if ([] !== $changed) {
                $this->db->update($table, $changed, array_intersect_key($columnsOf, array_flip($keys)));
            }
        }
    }
}
