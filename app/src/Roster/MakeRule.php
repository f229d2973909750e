<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class MakeRule
{
    /**
     * @param list<string> $students ids; for a wish, who has it comes first
     */
    public function __construct(
        public RuleKind $kind,
        #[Assert\Count(min: 2, max: 40, minMessage: 'Choose at least two students.', maxMessage: 'At most 40 students in one rule.'), Assert\Unique(message: 'Each student once, please.'), Assert\All([new Id()])]
        public array $students,
    ) {
    }
}
