<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

/**
 * A step that could not be done, or is tried again.
 */
final readonly class StepFailed
{
    /**
     * @param bool $again it is tried again by itself
     */
    public function __construct(
        public int $position,
        public ?string $groupId,
        public string $says,
        public string $why,
        public bool $again,
    ) {
    }
}
