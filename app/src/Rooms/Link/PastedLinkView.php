<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Link;

/**
 * A pasted line: which room it is for, or what is wrong with it.
 */
final readonly class PastedLinkView
{
    /**
     * @param int         $line  from 1
     * @param string|null $place `main` or a group's id; null where it goes nowhere
     * @param string|null $host  where the link leads, for reading; null where it is not taken
     * @param string|null $note  why it is not taken, or what else comes of it
     */
    public function __construct(
        public int $line,
        public string $shown,
        public ?string $place,
        public ?string $host,
        public ?string $note,
    ) {
    }
}
