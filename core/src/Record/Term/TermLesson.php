<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Term;

use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\VisitFact;

/**
 * What counts of a lesson over the term.
 */
final readonly class TermLesson
{
    /**
     * @param int                $at       when it began, milliseconds since 1970
     * @param list<string>       $expected who was to be there
     * @param list<string>       $arrived  who was
     * @param array<string, int> $called   how often somebody was called on and did not pass, by student
     * @param list<RunFact>      $runs
     * @param list<VisitFact>    $visits
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $at,
        public array $expected,
        public array $arrived,
        public array $called,
        public array $runs,
        public array $visits,
    ) {
    }
}
