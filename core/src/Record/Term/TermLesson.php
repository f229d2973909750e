<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Term;

use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\StudentFact;
use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\Facts;

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

    public static function fromFacts(string $id, string $title, Facts $facts): self
    {
        $called = [];
        foreach ($facts->calledOn as $one) {
            if (!$one->passed) {
                $called[$one->student] = ($called[$one->student] ?? 0) + 1;
            }
        }
        $arrived = [];
        foreach ($facts->signs as $sign) {
            if ($sign->place->isSeen()) {
                $arrived[$sign->student] = true;
            }
        }

        return new self(
            $id,
            $title,
            $facts->begunAt,
            array_map(static fn (StudentFact $one): string => $one->id, $facts->students),
            array_map(strval(...), array_keys($arrived)),
            $called,
            $facts->runs,
            $facts->visits,
        );
    }
}
