<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a new class.
 */
final readonly class MakeClass
{
    public function __construct(
        #[Assert\NotBlank(message: 'roster.class_needs_name', normalizer: 'trim'),
            Assert\Length(max: 80, maxMessage: 'roster.class_name_at_most_80_characters'),]
        public string $name,
        #[Assert\Length(max: 100_000, maxMessage: 'roster.that_too_much_text_for_class')]
        public string $names = '',
    ) {
    }
}
