<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\Core\Record\Fact\CalledOnFact;
use FreshHuddle\Core\Record\Fact\CallFact;
use FreshHuddle\Core\Record\Fact\SignFact;
use FreshHuddle\Core\Record\Fact\VisitFact;

/**
 * What the events of a lesson say, by what they are about.
 */
final readonly class EventFacts
{
    /**
     * @param list<array{string, int}>                             $segments which began, and when
     * @param array<string, list<array{string, string|null, int}>> $moves    who was moved to which group (null: to
     *                                                                       none), and when, by run
     * @param list<SignFact>                                       $signs
     * @param list<CallFact>                                       $calls
     * @param list<VisitFact>                                      $visits
     * @param list<CalledOnFact>                                   $calledOn
     */
    public function __construct(
        public array $segments,
        public array $moves,
        public array $signs,
        public array $calls,
        public array $visits,
        public array $calledOn,
    ) {
    }
}
