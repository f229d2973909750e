<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Column;

use FreshHuddle\Core\Roster\Import\ImportPlan;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What a student has in a column of the class list.
 */
final readonly class AttributeValue
{
    /**
     * @param string $value as it is read and typed; '' is no value
     */
    public function __construct(
        #[Assert\NotBlank(message: 'roster.what_it_called', normalizer: 'trim'),
            Assert\Length(max: 60, maxMessage: 'roster.name_at_most_60_characters'),]
        public string $name,
        #[Assert\Length(max: 120, maxMessage: 'roster.at_most_120_characters')]
        public string $value,
    ) {
    }

    public function typed(): int|float|string
    {
        return ImportPlan::value(trim($this->value));
    }
}
