<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\App\Grouping\Seat\NumberPlan;
use FreshHuddle\App\Http\Body\Shape;

/**
 * Keeps how the desk is set for a grouping, and what the numbers carry.
 */
final readonly class DeskNotes
{
    private const AT_A_TABLE = 4;

    public function __construct(private EntityManagerInterface $em, private Shape $shape, private ClassParts $parts)
    {
    }

    public function settings(string $groupingId): DeskSettings
    {
        return [] === $this->grouping($groupingId)->settings ? $this->fitting($groupingId) : $this->read($groupingId, 'settings', DeskSettings::class);
    }

    /**
     * About four at a table, until somebody says otherwise.
     */
    private function fitting(string $groupingId): DeskSettings
    {
        return new DeskSettings(groups: max(2, (int) round(\count($this->parts->present($this->grouping($groupingId))) / self::AT_A_TABLE)));
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
        return $this->em->find(Grouping::class, $id) ?? throw GroupingRefused::missing();
    }
}
