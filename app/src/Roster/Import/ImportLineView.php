<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Roster\Import\ImportFate;
use FreshHuddle\Core\Roster\Import\ImportLine;

final readonly class ImportLineView
{
    /**
     * @param list<string> $changes
     */
    public function __construct(
        public int $line,
        public string $shown,
        public string $name,
        public ImportFate $fate,
        public array $changes,
        public string $message,
    ) {
    }

    public static function of(ImportLine $line, Words $words): self
    {
        return new self($line->line, $line->shown, $line->record->name ?? '', $line->fate, array_map($words->say(...), $line->changes), null === $line->message ? '' : $words->say($line->message));
    }
}
