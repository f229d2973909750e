<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\Core\Record\Fact\ExitFact;
use FreshHuddle\Core\Record\Fact\ProgressFact;
use FreshHuddle\Core\Record\Fact\WritingFact;

/**
 * What was written in a lesson.
 */
final readonly class WritingFacts
{
    /**
     * @param list<WritingFact>  $writing
     * @param list<ProgressFact> $progress
     * @param list<ExitFact>     $exits
     */
    public function __construct(public array $writing, public array $progress, public array $exits)
    {
    }
}
