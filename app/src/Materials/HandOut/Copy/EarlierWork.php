<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use FreshHuddle\App\Materials\Margin\Margin;
use FreshHuddle\App\Materials\Media\MediaShelf;
use FreshHuddle\App\Materials\Writing\SlotStore;

/**
 * Carries what was written in one copy over to another: answers, media and notes in the margin.
 */
final readonly class EarlierWork
{
    public function __construct(
        private SlotStore $slots,
        private MediaShelf $shelf,
        private Margin $margin,
    ) {
    }

    /**
     * @param list<string>|null $members whose work is carried over, by their ids; null: everybody's
     */
    public function goOn(string $fromCopy, string $toCopy, ?array $members = null): void
    {
        $this->slots->goOn($fromCopy, $toCopy, $members);
        $this->shelf->goOn($fromCopy, $toCopy);
        $this->margin->goOn($fromCopy, $toCopy, $members);
    }
}
