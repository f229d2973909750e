<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: names for a class list, one a line.
 */
final readonly class PasteNames
{
    public function __construct(
        #[Assert\Length(max: 100_000, maxMessage: 'roster.that_too_much_text_for_class')]
        public string $names,
    ) {
    }
}
