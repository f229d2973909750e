<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Roster\PastedLine;
use FreshHuddle\Core\Roster\PastedLineFate;

/**
 * A pasted line, and what becomes of it.
 */
final readonly class PastedLineView
{
    public function __construct(
        public int $line,
        public string $text,
        public PastedLineFate $fate,
        public string $name,
        public string $message,
    ) {
    }

    public static function fromLine(PastedLine $line, Words $words): self
    {
        return new self(
            $line->line,
            $line->text,
            $line->fate,
            $line->name,
            null === $line->message ? '' : $words->say($line->message),
        );
    }
}
