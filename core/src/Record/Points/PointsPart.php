<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Points;

use FreshHuddle\Core\Record\Correction\Corrections;
use FreshHuddle\Core\Record\Correction\Figure;
use FreshHuddle\Core\Record\Exception\UnusablePoints;
use FreshHuddle\Core\Record\StudentFigures;

/**
 * One condition of a rule, and the points for meeting it.
 */
final readonly class PointsPart
{
    public const MOST_POINTS = 100;

    /**
     * @param int $atLeast 1 to `PointsKind::most()`
     * @param int $points  1 to 100
     *
     * @throws UnusablePoints if a number is out of its bounds
     */
    public function __construct(public PointsKind $kind, public int $atLeast, public int $points)
    {
        if ($atLeast < 1 || $atLeast > $kind->most()) {
            throw UnusablePoints::atLeast($kind->most());
        }
        if ($points < 1 || $points > self::MOST_POINTS) {
            throw UnusablePoints::points(self::MOST_POINTS);
        }
    }

    public function isMet(StudentFigures $figures, Corrections $corrections): bool
    {
        $value = static fn (Figure $figure): int => $corrections->value($figures, $figure);

        return match ($this->kind) {
            PointsKind::InPlace => $figures->groupMs > 0
                && 100 * $value(Figure::InPlace) >= $this->atLeast * $figures->groupMs,
            PointsKind::Wrote => $value(Figure::Put) >= $this->atLeast,
            PointsKind::Answered => $value(Figure::ExitAnswered) >= $this->atLeast,
            PointsKind::CalledOn => $value(Figure::CalledOn) >= $this->atLeast,
        };
    }
}
