<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard\File;

use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Job\Job;
use FreshHuddle\App\Materials\Job\JobHandler;
use FreshHuddle\App\Materials\Job\JobKind;
use FreshHuddle\App\Materials\Media\Store\FileStore;

/**
 * Brings an archive with many pictures into the cupboard: a few pictures at a time, and at the end the original.
 */
final readonly class ImportJob implements JobHandler
{
    /** Pictures and recordings of a step. */
    public const AT_ONCE = 4;

    public function __construct(
        private FileStore $store,
        private OriginalPackage $packages,
        private OriginalImporter $bringing,
        private Cupboard $cupboard,
    ) {
    }

    public static function kind(): JobKind
    {
        return JobKind::Import;
    }

    public function step(Job $job): void
    {
        $bytes = $this->store->get($job->input);
        ['shown' => $shown] = $this->bringing->preview($job->name, $bytes);
        $job->parts += $this->packages->keep(
            $job->teacher,
            $bytes,
            \array_slice($shown, $job->done * self::AT_ONCE, self::AT_ONCE, true),
        );
    }

    public function finish(Job $job): string
    {
        ['save' => $save] = $this->bringing->preview($job->name, $this->store->get($job->input));
        $media = [];
        foreach ($job->parts as $id => $known) {
            $media[(string) $id] = $known;
        }

        return $this->cupboard->add($job->teacher, $save, $media)->id;
    }
}
