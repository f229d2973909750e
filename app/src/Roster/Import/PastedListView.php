<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Roster\PastedLine;
use FreshHuddle\Core\Roster\PastedList;

/**
 * A pasted list, line by line.
 */
final readonly class PastedListView
{
    /**
     * @param int                  $taken how many names are (or would be) added
     * @param list<PastedLineView> $lines what became of each line
     */
    public function __construct(public int $taken, public array $lines)
    {
    }

    public static function fromList(PastedList $list, Words $words): self
    {
        return new self(
            \count($list->names()),
            array_map(
                static fn (PastedLine $line): PastedLineView => PastedLineView::fromLine($line, $words),
                $list->lines,
            ),
        );
    }
}
