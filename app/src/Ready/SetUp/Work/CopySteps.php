<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Work;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\HandOutService;
use FreshHuddle\App\Ready\SetUp\SetUpStep;
use FreshHuddle\Core\Ready\SetUp\StepKind;

/**
 * Copies. All that are missing of an original are made at once with the first step of it: those of one table take as
 * long.
 */
final class CopySteps implements StepRunner
{
    /** @var array<string, true> originals of which all are made */
    private array $made = [];

    public function __construct(private readonly HandOutService $handOuts)
    {
    }

    public static function kinds(): array
    {
        return [StepKind::MakeCopies, StepKind::BringCopies, StepKind::RetireCopies];
    }

    public function begin(Round $round): void
    {
        $this->made = [];
    }

    public function do(SetUpStep $step): void
    {
        $round = $step->round;
        try {
            if (StepKind::RetireCopies === $step->kind) {
                $this->handOuts->retire($round, $step->ids);
            } elseif (!isset($this->made[$step->subject])) {
                $this->handOuts->makeOf($round, $step->subject);
                $this->made[$step->subject] = true;
            }
        } catch (MaterialsRefused $e) {
            throw StepNotDone::because($e->says);
        }
    }
}
