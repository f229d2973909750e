<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Http\Body\Shape;
use FreshHuddle\App\Http\Problem;

/**
 * Keeps how the desk is set for a grouping, and what the numbers carry.
 */
final readonly class DeskNotes
{
    public function __construct(private EntityManagerInterface $em, private Shape $shape)
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
        $grouping = $this->grouping($groupingId);

        return $this->shape->read($type, 'settings' === $column ? $grouping->settings : $grouping->numbers, $column);
    }

    /**
     * @param 'settings'|'numbers' $column
     */
    private function keep(string $groupingId, string $column, object $value): void
    {
        $json = json_decode(json_encode($value, \JSON_THROW_ON_ERROR), true, 16, \JSON_THROW_ON_ERROR);
        $bag = [];
        foreach (\is_array($json) ? $json : [] as $key => $part) {
            $bag[(string) $key] = $part;
        }
        $grouping = $this->grouping($groupingId);
        'settings' === $column ? $grouping->settings = $bag : $grouping->numbers = $bag;
        $this->em->flush();
    }

    private function grouping(string $id): Grouping
    {
        return $this->em->find(Grouping::class, $id) ?? throw Problem::notFound();
    }
}
