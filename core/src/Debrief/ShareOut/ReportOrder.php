<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\ShareOut;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * In which order groups report.
 */
enum ReportOrder: string
{
    /** By chance. */
    case Drawn = 'drawn';
    /** Who has least to show reports first: nobody has said it all before them. */
    case ByProgress = 'byProgress';
    /** As the teacher has put them. */
    case ByHand = 'byHand';

    /**
     * @param list<string>         $groups   in the order of the floor, or as they were put by hand
     * @param array<string, float> $progress how much of its work a group has done, 0 to 1; 0 where nothing is said
     * @param int                  $seed     for the draw
     *
     * @return list<string> the same groups; O(n log n)
     */
    public function arrange(array $groups, array $progress, int $seed): array
    {
        if (self::ByHand === $this) {
            return $groups;
        }
        if (self::Drawn === $this) {
            return array_values((new Randomizer(new Xoshiro256StarStar($seed)))->shuffleArray($groups));
        }
        $place = array_flip($groups);
        usort(
            $groups,
            static fn (string $one, string $other): int => [$progress[$one] ?? 0.0, $place[$one]]
                <=> [$progress[$other] ?? 0.0, $place[$other]],
        );

        return $groups;
    }
}
