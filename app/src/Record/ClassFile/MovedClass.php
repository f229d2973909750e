<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use FreshHuddle\App\Roster\MovedStudent;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A class that moves house: docs/formats/class-file.md.
 */
final readonly class MovedClass
{
    /**
     * @param list<MovedStudent> $students
     * @param list<MovedRule>    $rules
     * @param list<MovedGroups>  $history
     * @param list<MovedLesson>  $lessons
     */
    public function __construct(
        #[Assert\NotBlank(normalizer: 'trim'), Assert\Length(max: 80)]
        public string $name,
        #[Assert\Valid, Assert\Count(max: 1_200)]
        public array $students,
        #[Assert\Valid, Assert\Count(max: 1_000)]
        public array $rules,
        #[Assert\Valid, Assert\Count(max: 400)]
        public array $history,
        #[Assert\Valid, Assert\Count(max: 400)]
        public array $lessons,
    ) {
    }
}
