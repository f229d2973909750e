<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

use FreshHuddle\Core\Message;

/**
 * What becomes of one line of a pasted list of links.
 */
final readonly class PastedLink
{
    /**
     * @param int          $line  from 1
     * @param string       $shown the line as it stands there, shortened
     * @param string|null  $place `main` or a group's id; null where it goes nowhere
     * @param Link|null    $link  null where there is none that can be used
     * @param Message|null $fault why it is not taken
     */
    public function __construct(
        public int $line,
        public string $shown,
        public ?string $place,
        public ?Link $link,
        public ?Message $fault,
    ) {
    }
}
