<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Slot\Things;

/**
 * What stands in the cells of the given rows, like answers together. Rows of the groups' own are not compared.
 */
final readonly class CellsSum implements SlotSum
{
    public function sum(Block $block, array $given): Sum
    {
        $cells = [];
        foreach ($given as $one) {
            foreach (Things::things($one->value) as $cell => $text) {
                if (\is_string($text) && '' !== trim($text)) {
                    $cells[$cell][] = new SourceAnswer($one->source, $text);
                }
            }
        }
        $tallies = [];
        foreach ($block->settings->items as $row) {
            foreach ($block->settings->heads as $column) {
                foreach (LikeText::together($cells["{$row->id}|{$column->id}"] ?? []) as $like) {
                    $tallies[] = new Tally($row->id, $column->id, $like->forms[0], $like->sources);
                }
            }
        }

        return new Sum(SumShape::Cells, $tallies);
    }
}
