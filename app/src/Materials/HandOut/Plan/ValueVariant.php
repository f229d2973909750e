<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The variant of students of whom the class list says this.
 */
final readonly class ValueVariant
{
    /**
     * @param string $variant '' for the plain form
     */
    public function __construct(
        #[Assert\NotBlank(message: 'materials.plan_by_what', normalizer: 'trim'),
            Assert\Length(max: 120),]
        public string $value,
        #[Assert\Length(max: 40)]
        public string $variant = '',
    ) {
    }
}
