<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Calling;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Whom to call on: somebody who has been called on least often for the lessons they were in; among equals chance
 * decides. Who was called on last is left out while there is anybody else, so nobody is called on twice running, also
 * not after a pass. Of two students present equally often neither is ahead by more than one call (FairDrawTest).
 */
final readonly class FairDraw
{
    /**
     * @param list<Candidate> $candidates everybody who is present
     * @param string|null     $last       who was called on last, whether they answered or passed
     * @param int             $seed       the same seed draws the same student; O(n)
     *
     * @return string|null a student; null where there is nobody
     */
    public static function draw(array $candidates, ?string $last, int $seed): ?string
    {
        $others = array_filter($candidates, static fn (Candidate $one): bool => $one->student !== $last);
        $best = [];
        foreach ([] === $others ? $candidates : $others as $candidate) {
            $order = [] === $best ? -1 : $candidate->compare($best[0]);
            if ($order < 0) {
                $best = [$candidate];
            } elseif (0 === $order) {
                $best[] = $candidate;
            }
        }
        if ([] === $best) {
            return null;
        }
        // The same list in another order draws the same student.
        usort($best, static fn (Candidate $one, Candidate $other): int => $one->student <=> $other->student);

        return $best[(new Randomizer(new Xoshiro256StarStar($seed)))->getInt(0, \count($best) - 1)]->student;
    }
}
