<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

/**
 * Who has done the same.
 */
final readonly class Tally
{
    /**
     * @param string       $item    what it is about: a card, a line, an option, a row; the place of a word in the
     *                              passage, in characters from its beginning; '' where there is only one thing
     * @param string       $under   the heading, the column, or the kind of mark; '' where there is none
     * @param string       $text    in words: the card, the line, the number, what stands in the cell, the word
     * @param list<string> $sources who, in the order in which they were given
     * @param bool|null    $right   whether that is right; null: nobody has said what is
     * @param list<string> $forms   the different texts that are taken for the same; one or none: they are not different
     * @param bool         $apart   it was taken out of like ones by hand
     */
    public function __construct(
        public string $item,
        public string $under,
        public string $text,
        public array $sources,
        public ?bool $right = null,
        public array $forms = [],
        public bool $apart = false,
    ) {
    }
}
