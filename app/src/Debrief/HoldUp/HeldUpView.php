<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

/**
 * Where in the work stands what is shown, for the teacher.
 */
final readonly class HeldUpView
{
    public function __construct(
        public string $copy,
        public ?string $page,
        public ?string $slot,
        public ?string $owner,
    ) {
    }

    public static function fromHeldUp(HeldUp $held): self
    {
        return new self($held->copy->id, $held->page, $held->slot, $held->owner);
    }
}
