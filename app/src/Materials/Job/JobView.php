<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Job;

/**
 * A long piece of work, and how far it has got.
 */
final readonly class JobView
{
    /**
     * @param int         $done     of `total` steps
     * @param string|null $failure  why not, in words
     * @param string|null $file     where what was made can be had, once it is done
     * @param string|null $original the original that was brought in, once it is done
     */
    public function __construct(
        public string $id,
        public JobKind $kind,
        public JobState $state,
        public int $done,
        public int $total,
        public ?string $failure,
        public ?string $file,
        public ?string $original,
    ) {
    }

    public static function fromJob(Job $job): self
    {
        $isDone = JobState::Done === $job->state;

        return new self(
            $job->id,
            $job->kind,
            $job->state,
            $job->done,
            $job->total,
            $job->failure,
            $isDone && JobKind::Slips === $job->kind ? "/api/staff/jobs/{$job->id}/file" : null,
            $isDone && JobKind::Import === $job->kind ? $job->result : null,
        );
    }
}
