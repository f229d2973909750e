<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

/**
 * Where in the work stands what is shown, for the teacher.
 */
final readonly class HoldUpView
{
    /**
     * @param string|null $copy  null where it is a sum over all groups
     * @param string|null $round of a sum
     */
    public function __construct(
        public ?string $copy,
        public ?string $page,
        public ?string $slot,
        public ?string $owner,
        public ?string $round,
        public ?string $original,
        public bool $showsRight,
    ) {
    }

    public static function fromHoldUp(HoldUp $held): self
    {
        return new self(
            $held->copy?->id,
            $held->page,
            $held->slot,
            $held->owner,
            $held->round?->id,
            $held->original?->id,
            $held->showsRight,
        );
    }
}
