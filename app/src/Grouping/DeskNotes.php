<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Http\Problem;
use Symfony\Component\Serializer\Normalizer\DenormalizerInterface;

/**
 * Keeps how the desk is set for a grouping, and what the numbers carry.
 */
final readonly class DeskNotes
{
    public function __construct(private Connection $db, private DenormalizerInterface $serializer)
    {
    }

    public function settings(string $groupingId): DeskSettings
    {
        $settings = $this->read($groupingId, 'settings', DeskSettings::class);
        \assert($settings instanceof DeskSettings);

        return $settings;
    }

    public function numbers(string $groupingId): NumberPlan
    {
        $numbers = $this->read($groupingId, 'numbers', NumberPlan::class);
        \assert($numbers instanceof NumberPlan);

        return $numbers;
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
     * @param 'settings'|'numbers' $column
     * @param class-string         $type
     */
    private function read(string $groupingId, string $column, string $type): mixed
    {
        $row = $this->db->fetchAssociative("SELECT {$column} FROM grouping WHERE id = ?", [$groupingId]);

        return $this->serializer->denormalize((new Row(false === $row ? throw Problem::notFound() : $row))->json($column), $type);
    }

    /**
     * @param 'settings'|'numbers' $column
     */
    private function keep(string $groupingId, string $column, object $value): void
    {
        $this->db->update('grouping', [$column => json_encode($value, \JSON_THROW_ON_ERROR)], ['id' => $groupingId]);
    }
}
