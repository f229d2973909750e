<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Points;

use FreshHuddle\Core\Record\Correction\Corrections;
use FreshHuddle\Core\Record\Exception\UnusablePoints;
use FreshHuddle\Core\Record\StudentFigures;

/**
 * How the points of a lesson come about, as the teacher states it.
 */
final readonly class PointsRule
{
    public const MOST_PARTS = 8;

    /**
     * @param list<PointsPart> $parts up to 8; empty: no points are given
     *
     * @throws UnusablePoints if there are too many
     */
    public function __construct(public array $parts = [])
    {
        if (\count($parts) > self::MOST_PARTS) {
            throw UnusablePoints::parts(self::MOST_PARTS);
        }
    }

    /**
     * @return int what can be had at most
     */
    public function most(): int
    {
        return array_sum(array_map(static fn (PointsPart $part): int => $part->points, $this->parts));
    }

    public function points(StudentFigures $figures, Corrections $corrections): StudentPoints
    {
        $met = array_map(static fn (PointsPart $part): bool => $part->isMet($figures, $corrections), $this->parts);
        $sum = 0;
        foreach ($this->parts as $i => $part) {
            $sum += $met[$i] ? $part->points : 0;
        }

        return new StudentPoints($figures->student, $sum, $met);
    }
}
