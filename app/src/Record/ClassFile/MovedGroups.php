<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use FreshHuddle\App\Http\Body\Moment;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * Groups a class that moves house has sat in.
 */
final readonly class MovedGroups
{
    /**
     * @param int                $at     milliseconds since 1970
     * @param list<list<string>> $groups students of each, by ids as the file has them
     * @param list<MovedRole>    $roles
     */
    public function __construct(
        #[Moment]
        public int $at,
        #[Assert\Length(max: 80)]
        public string $name,
        #[Assert\Length(max: 120)]
        public string $lesson,
        #[Assert\Count(max: 400)]
        public array $groups,
        #[Assert\Valid, Assert\Count(max: 2_000)]
        public array $roles,
    ) {
    }
}
