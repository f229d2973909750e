<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Link;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: links to be given to rooms in their order.
 */
final readonly class PasteLinks
{
    /**
     * @param string $text one link a line, with the name or number of its group or without
     */
    public function __construct(
        #[Assert\Length(max: 100_000, maxMessage: 'rooms.list_has_at_most_100000_characters')]
        public string $text,
    ) {
    }
}
