<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Work;

use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\HandingOut;
use FreshHuddle\App\Ready\SetUp\Step;
use FreshHuddle\Core\Ready\SetUp\StepKind;

final readonly class CopySteps implements StepWork
{
    public function __construct(private HandingOut $handingOut)
    {
    }

    public static function kinds(): array
    {
        return [StepKind::MakeCopies, StepKind::BringCopies, StepKind::RetireCopies];
    }

    public function begin(Round $round): void
    {
    }

    public function do(Step $step): void
    {
        $round = $step->setUp->round;
        try {
            StepKind::RetireCopies === $step->kind
                ? $this->handingOut->retire($round, $step->ids)
                : $this->handingOut->makeFor($round, $step->subject, $step->groupId);
        } catch (MaterialsRefused $e) {
            throw StepNotDone::because($e->says);
        }
    }
}
