<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use FreshHuddle\App\Roster\Rule\RuleKind;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A rule or a wish of a class that moves house.
 */
final readonly class MovedRule
{
    /**
     * @param list<string> $students ids as the file has them
     */
    public function __construct(
        public RuleKind $kind,
        #[Assert\Count(min: 2, max: 40), Assert\Unique]
        public array $students,
    ) {
    }
}
