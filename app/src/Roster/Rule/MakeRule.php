<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a rule or a wish of a class.
 */
final readonly class MakeRule
{
    /**
     * @param list<string> $students ids; for a wish, who has it comes first
     */
    public function __construct(
        public RuleKind $kind,
        #[Assert\Count(
            min: 2,
            max: 40,
            minMessage: 'roster.choose_at_least_two_students',
            maxMessage: 'roster.at_most_40_students_one_rule',
        ),
            Assert\Unique(message: 'roster.each_student_once'),
            Assert\All([new Id()]),]
        public array $students,
    ) {
    }
}
