<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Http\Body\Shape;
use FreshHuddle\App\Http\Problem;

/**
 * Keeps how the desk is set for a grouping, and what the numbers carry.
 */
final readonly class DeskNotes
{
    public function __construct(private Connection $db, private Shape $shape)
    {
    }

    public function settings(string $groupingId): DeskSettings
    {
        return $this->read($groupingId, 'settings', DeskSettings::class);
    }

    public function numbers(string $groupingId): NumberPlan
    {
        return $this->read($groupingId, 'numbers', NumberPlan::class);
    }

    public function keepSettings(string $groupingId, DeskSettings $settings): void
    {
        $this->keep($groupingId, 'settings', $settings);
    }

    public function keepNumbers(string $groupingId, NumberPlan $numbers): void
    {
        $this->keep($groupingId, 'numbers', $numbers);
    }

    /**
     * @template T of object
     *
     * @param 'settings'|'numbers' $column
     * @param class-string<T>      $type
     *
     * @return T
     */
    private function read(string $groupingId, string $column, string $type): object
    {
        $row = $this->db->fetchAssociative("SELECT {$column} FROM grouping WHERE id = ?", [$groupingId]);

        return $this->shape->read($type, (new Row(false === $row ? throw Problem::notFound() : $row))->json($column), $column);
    }

    /**
     * @param 'settings'|'numbers' $column
     */
    private function keep(string $groupingId, string $column, object $value): void
    {
        $this->db->update('grouping', [$column => json_encode($value, \JSON_THROW_ON_ERROR)], ['id' => $groupingId]);
    }
}
