<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * A way in which students fill a slot: what it may hold, how two changes of it come together, when it counts as filled.
 * What a slot holds is written as text: what was typed, or a JSON object of what was done to each thing (Things). '' is
 * a slot nobody has touched.
 */
interface SlotKind
{
    /**
     * Whether everybody has a value of their own, or the group has one.
     */
    public function isAlone(BlockSettings $settings): bool;

    /**
     * Whether members see what others have here.
     */
    public function isShown(BlockSettings $settings): bool;

    /**
     * What keeps it from being copied: the code of a sentence; null where it is ready.
     */
    public function lacks(Block $block): ?string;

    /**
     * @return string the same value in the one form in which it is kept
     *
     * @throws UnusableValue if this slot cannot hold it
     */
    public function read(string $value, Block $block): string;

    /**
     * Brings together what two people made of the same value. All three have been read.
     *
     * @param string $base   what both started from
     * @param string $theirs what is saved now
     * @param string $mine   what has just come in; where only one can be, it is this
     */
    public function merge(string $base, string $theirs, string $mine): string;

    public function isFilled(string $value, Block $block): bool;

    /**
     * How much of it is done, 0 to 1; for a text whether it is there.
     */
    public function share(string $value, Block $block): float;

    /**
     * How much somebody put in who made one value of another: words that were not there before, or things set anew or
     * changed. What they took out is not counted. O(n).
     */
    public function put(string $before, string $after): int;
}
