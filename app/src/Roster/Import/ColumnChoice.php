<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\Core\Roster\Import\ColumnKind;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What a column holds, as recognised or as a person has said.
 */
final readonly class ColumnChoice
{
    /**
     * @param list<string> $samples a few values that stand there
     */
    public function __construct(
        #[Assert\Length(max: 500)]
        public string $heading,
        public ColumnKind $kind,
        public array $samples = [],
    ) {
    }
}
