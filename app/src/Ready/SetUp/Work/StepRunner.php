<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Work;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\SetUp\SetUpStep;
use FreshHuddle\Core\Ready\SetUp\StepKind;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * Carries out some kinds of steps.
 */
#[AutoconfigureTag]
interface StepRunner
{
    /**
     * @return list<StepKind>
     */
    public static function kinds(): array;

    /**
     * Steps of a round follow: what was known of it is forgotten.
     */
    public function begin(Round $round): void;

    /**
     * Safe to do twice, also if it was broken off anywhere. What is wanted by then is done: a student who came to a
     * table meanwhile is let in too.
     *
     * @throws StepNotDone
     */
    public function do(SetUpStep $step): void;
}
