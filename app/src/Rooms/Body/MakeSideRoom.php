<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Body;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a side room of this name.
 */
final readonly class MakeSideRoom
{
    public function __construct(
        #[Assert\NotBlank(message: 'rooms.name_is_empty', normalizer: 'trim'),
            Assert\Length(max: 120, maxMessage: 'rooms.name_has_at_most_120_characters'),]
        public string $name,
    ) {
    }
}
