<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Weight;

/**
 * Something the ready check has found, and where to put it right.
 */
final readonly class FindingView
{
    /**
     * @param string      $check   which check found it
     * @param string      $says    what is not in place, or worth a look, and where
     * @param string      $press   what the press that mends it is called, or the screen that does
     * @param string|null $subject id of what it is about
     * @param list<int>   $rounds  numbers of the rounds it is about; none: all that are to come
     * @param Mend|null   $other   another press that mends it, for a lesson that is meant to be so
     * @param string|null $segment where it is mended; null: in the round that is looked at
     */
    public function __construct(
        public string $check,
        public Weight $weight,
        public string $says,
        public Mend $mend,
        public string $press,
        public ?string $subject,
        public array $rounds,
        public ?string $segment,
        public ?Mend $other,
        public ?string $otherPress,
    ) {
    }
}
