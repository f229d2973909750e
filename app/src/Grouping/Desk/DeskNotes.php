<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\App\Http\Body\Shape;

/**
 * Keeps how the desk is set for a grouping.
 */
final readonly class DeskNotes
{
    private const AT_A_TABLE = 4;

    public function __construct(
        private EntityManagerInterface $em,
        private Shape $shape,
        private ClassParts $parts,
    ) {
    }

    public function settings(string $groupingId): DeskSettings
    {
        $kept = $this->grouping($groupingId)->settings;

        return [] === $kept
            ? $this->fitting($groupingId)
            : $this->shape->read(DeskSettings::class, $kept, 'settings');
    }

    /**
     * About four at a table, until somebody says otherwise.
     */
    private function fitting(string $groupingId): DeskSettings
    {
        return new DeskSettings(
            groups: max(
                2,
                (int) round(\count($this->parts->present($this->grouping($groupingId))) / self::AT_A_TABLE),
            ),
        );
    }

    public function keepSettings(string $groupingId, DeskSettings $settings): void
    {
        $json = json_decode(json_encode($settings, \JSON_THROW_ON_ERROR), true, 16, \JSON_THROW_ON_ERROR);
        $bag = [];
        foreach (\is_array($json) ? $json : [] as $key => $part) {
            $bag[(string) $key] = $part;
        }
        $this->grouping($groupingId)->settings = $bag;
        $this->em->flush();
    }

    private function grouping(string $id): Grouping
    {
        return $this->em->find(Grouping::class, $id) ?? throw GroupingRefused::missing();
    }
}
