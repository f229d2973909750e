<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

/**
 * A set-up list that is or was carried out.
 */
final readonly class SetUpView
{
    /**
     * @param bool             $running it is being carried out
     * @param int              $done    steps
     * @param int              $of      steps
     * @param string|null      $now     what is being done
     * @param list<StepFailed> $failed  what could not be done, and why
     */
    public function __construct(
        public string $id,
        public string $roundId,
        public bool $running,
        public int $done,
        public int $of,
        public ?string $now,
        public array $failed,
    ) {
    }
}
