<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Job;

use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * How the jobs of a kind are done.
 */
#[AutoconfigureTag]
interface JobHandler
{
    public static function kind(): JobKind;

    /**
     * The next step of `total`: writes what came of it into `parts`. May be called twice for the same step, as a worker
     * can die after it and before saying so.
     *
     * @throws MaterialsRefused if it cannot be done at all
     * @throws FileAway
     */
    public function step(Job $job): void;

    /**
     * All steps are done.
     *
     * @return string what came of it: an id, or a key of the file store
     *
     * @throws MaterialsRefused if it cannot be done at all
     * @throws FileAway
     */
    public function finish(Job $job): string;
}
