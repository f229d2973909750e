<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a new name for these groups.
 */
final readonly class NameGrouping
{
    public function __construct(
        #[Assert\NotBlank(message: 'grouping.grouping_needs_name', normalizer: 'trim'),
            Assert\Length(max: 80, maxMessage: 'grouping.grouping_name_at_most_80_characters'),]
        public string $name,
    ) {
    }
}
