<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use FreshHuddle\Core\Debrief\Sum\Tally;

/**
 * Who has done the same.
 */
final readonly class TallyView
{
    /**
     * @param string    $item    a card, a line, an option, a row; the place of a word; '' where there is only one thing
     * @param string    $under   the heading, the column, the kind of mark; '' where there is none
     * @param string    $text    in words
     * @param int       $count   how many
     * @param list<int> $sources who, by their place among the sources; none where no names are shown
     * @param bool|null $right   null: it is not said what is right
     * @param list<string> $forms the different texts in it, if there are several
     * @param bool      $apart   it was taken out of like ones by hand
     */
    public function __construct(
        public string $item,
        public string $under,
        public string $text,
        public int $count,
        public array $sources,
        public ?bool $right,
        public array $forms = [],
        public bool $apart = false,
    ) {
    }

    /**
     * @param array<string, int> $places of all sources
     */
    public static function fromTally(Tally $tally, array $places): self
    {
        return new self(
            $tally->item,
            $tally->under,
            $tally->text,
            \count($tally->sources),
            array_map(static fn (string $source): int => $places[$source], $tally->sources),
            $tally->right,
            \count($tally->forms) > 1 ? $tally->forms : [],
            $tally->apart,
        );
    }
}
