<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\SaveOriginal;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;

/**
 * Originals that are made for a round: in the cupboard and in the plan, or in neither.
 */
final readonly class RoundOriginals
{
    public function __construct(
        private Cupboard $cupboard,
        private HandOutPlan $plan,
        private Transaction $transaction,
    ) {
    }

    /**
     * @throws MaterialsRefused if it cannot be kept as it is, or the round takes no more
     */
    public function add(Teacher $teacher, Round $round, SaveOriginal $request): StoredOriginal
    {
        return $this->transaction->run(function () use ($teacher, $round, $request): StoredOriginal {
            $master = $this->cupboard->add($teacher, $request);
            $this->plan->append($round, $master);

            return $master;
        });
    }
}
