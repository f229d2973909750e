<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\Core\Roster\Import\ImportPlan;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class AttributeValue
{
    /**
     * @param string $value as it is read and typed; '' is no value
     */
    public function __construct(
        #[Assert\NotBlank(message: 'What is it called?', normalizer: 'trim'), Assert\Length(max: 60, maxMessage: 'A name of at most 60 signs, please.')]
        public string $name,
        #[Assert\Length(max: 120, maxMessage: 'At most 120 signs, please.')]
        public string $value,
    ) {
    }

    public function typed(): int|float|string
    {
        return ImportPlan::value(trim($this->value));
    }
}
