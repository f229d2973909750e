<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\BlockKind;

/**
 * Which kinds of slots are summed up, and how. Another is a case here and a file beside it.
 */
final readonly class SlotSums
{
    /**
     * @return SlotSum|null null: what stands there is looked at one by one
     */
    public static function forKind(BlockKind $kind): ?SlotSum
    {
        return match ($kind) {
            BlockKind::Sort => new CardsSum(),
            BlockKind::Ticks, BlockKind::Choose => new BarsSum(),
            BlockKind::Number => new NumbersSum(),
            BlockKind::Table => new CellsSum(),
            BlockKind::MarkUp => new PassageSum(),
            BlockKind::Each, BlockKind::Together => new TextsSum(),
            default => null,
        };
    }
}
