<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use FreshHuddle\Core\Materials\VariantsBy;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * Variants of a row by what the class list says of students.
 */
final readonly class ByAttribute
{
    /**
     * @param list<ValueVariant> $values those that have a variant of their own
     */
    public function __construct(
        #[Assert\NotBlank(message: 'materials.plan_by_what', normalizer: 'trim'),
            Assert\Length(max: 60),]
        public string $attribute,
        #[Assert\Count(max: 40), Assert\Valid]
        public array $values,
    ) {
    }

    public static function fromVariants(?VariantsBy $by): ?self
    {
        return null === $by
            ? null
            : new self(
                $by->attribute,
                array_map(
                    static fn (int|string $value, string $variant): ValueVariant => new ValueVariant(
                        (string) $value,
                        $variant,
                    ),
                    array_keys($by->variants),
                    array_values($by->variants),
                ),
            );
    }
}
