<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

/**
 * What is kept of a class, and how long.
 */
final readonly class PrivacyView
{
    /**
     * @param string|null         $endsOn      the day on which everything goes, as 2027-07-31; null: no end is set
     * @param int|null            $announcedAt when that was announced by mail; milliseconds since 1970
     * @param string              $earliest    the earliest day that can be set
     * @param list<FormerStudent> $former      who has been removed from the list; their work is still there
     */
    public function __construct(
        public ?string $endsOn,
        public ?int $announcedAt,
        public string $earliest,
        public array $former,
    ) {
    }
}
