<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a new name for a class.
 */
final readonly class RenameClass
{
    public function __construct(
        #[Assert\NotBlank(message: 'roster.class_needs_name', normalizer: 'trim'),
            Assert\Length(max: 80, maxMessage: 'roster.class_name_at_most_80_characters'),]
        public string $name,
    ) {
    }
}
