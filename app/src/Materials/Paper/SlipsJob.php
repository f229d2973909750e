<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Job\Job;
use FreshHuddle\App\Materials\Job\JobHandler;
use FreshHuddle\App\Materials\Job\JobKind;
use FreshHuddle\App\Materials\Job\Jobs;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Print\Paper;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * Slips of a large class: some pages at a time, put together at the end. They are printed as the class was when they
 * were asked for.
 */
final readonly class SlipsJob implements JobHandler
{
    /** Slips of a step: ten pages. */
    public const AT_ONCE = 80;

    public function __construct(private FileStore $store, private Prints $prints, private Paper $paper)
    {
    }

    public static function kind(): JobKind
    {
        return JobKind::Slips;
    }

    /**
     * @return string what a job of these slips is made from
     */
    public static function input(HandoutsView $round, string $origin): string
    {
        return serialize([$origin, $round]);
    }

    public function step(Job $job): void
    {
        $input = unserialize($this->store->get($job->input), [
            'allowed_classes' => [
                HandoutsView::class,
                HandoutGroup::class,
                Handout::class,
                WorkLine::class,
                HandOutWay::class,
            ],
        ]);
        if (!\is_array($input) || !\is_string($input[0] ?? null) || !(($input[1] ?? null) instanceof HandoutsView)) {
            throw MaterialsRefused::missing();
        }
        [$origin, $round] = $input;
        $key = Jobs::key();
        $this->store->put(
            $key,
            $this->prints->slips($round->only($job->done * self::AT_ONCE, self::AT_ONCE), $origin),
        );
        $job->parts = [...$job->parts, $job->done => $key];
    }

    public function finish(Job $job): string
    {
        ksort($job->parts);
        $key = Jobs::key();
        $this->store->put($key, $this->paper->together(array_map($this->store->get(...), array_values($job->parts))));

        return $key;
    }
}
