<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * What one simulated student is like, in one lesson. Moments are milliseconds from its beginning.
 */
final readonly class Behaviour
{
    /**
     * @param string                   $types     the name they come in with
     * @param int|null                 $arrivesAt null: they don't come; below 0: before it begins
     * @param float                    $reacts    seconds until they do what their page tells, in the middle
     * @param float                    $overlooks share of what their page tells that they don't notice for a while
     * @param float                    $strays    share of moves on which they go the wrong way first
     * @param float                    $reads     words a minute
     * @param float                    $writes    letters a second
     * @param float                    $thinks    seconds before an answer, in the middle
     * @param float                    $stuck     minutes of work until they are stuck, on average
     * @param float                    $calls     how likely they call when they are
     * @param float                    $wanders   minutes until they are off with something else, on average
     * @param list<array{int, ?int}>   $cuts      when their line is away: from, until; null: for good
     * @param bool                     $isSilent  they leave the writing to others
     * @param int|null                 $secondAt  when another device of theirs comes in, too
     */
    public function __construct(
        public string $types,
        public ?int $arrivesAt,
        public float $reacts,
        public float $overlooks,
        public float $strays,
        public float $reads,
        public float $writes,
        public float $thinks,
        public float $stuck,
        public float $calls,
        public float $wanders,
        public array $cuts,
        public bool $isSilent,
        public ?int $secondAt,
    ) {
    }
}
