<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Materials\Variant;

/**
 * A row of the hand-out plan: an original, and what each group of the round gets of it.
 */
final readonly class RowView
{
    /**
     * @param int              $version    of the original, now
     * @param string|null      $unfinished why it cannot be copied yet, in words
     * @param list<Variant>    $variants   the forms it has
     * @param HandOutWay       $way        of all groups of which nothing else is said
     * @param list<CellView>   $cells
     * @param string           $variant    of all groups of which nothing else is said
     * @param ByAttribute|null $by         variants by what the class list says
     * @param int              $missing    copies that are still to be made
     * @param int              $written of those missing, the ones whose group or student wrote in theirs in the lesson
     *     this one was begun from
     * @param bool             $spoken     there is something in it that can be heard
     * @param string|null      $opensWith the segment it opens with, in which everybody works alone; null: it opens with
     *     its round
     * @param int              $outdated   copies made from an earlier version, in which nobody has written yet
     */
    public function __construct(
        public string $original,
        public string $title,
        public int $version,
        public ?string $unfinished,
        public array $variants,
        public HandOutWay $way,
        public array $cells,
        public string $variant,
        public ?ByAttribute $by,
        public int $missing,
        public int $written,
        public int $outdated,
        public bool $spoken,
        public ?string $opensWith,
    ) {
    }
}
