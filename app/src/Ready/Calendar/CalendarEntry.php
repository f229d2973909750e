<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Calendar;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\Core\Ready\Calendar\Entry;

/**
 * What a teacher's calendar has been told of a thing: changes carry a higher number, and what is gone is cancelled
 * under the name it had. Written by CalendarFeeds.
 */
#[ORM\Entity]
class CalendarEntry
{
    #[ORM\Column(length: 300)]
    public string $title = '';

    /** Milliseconds since 1970. */
    #[ORM\Column(type: 'bigint')]
    public int $start = 0;

    /** Milliseconds since 1970. */
    #[ORM\Column(name: 'until', type: 'bigint')]
    public int $end = 0;

    #[ORM\Column(length: 64)]
    public string $digest = '';

    #[ORM\Column]
    public int $sequence = 0;

    /** Milliseconds since 1970. */
    #[ORM\Column(type: 'bigint')]
    public int $changedAt = 0;

    #[ORM\Column]
    public bool $cancelled = false;

    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Teacher $teacher,
        #[ORM\Id, ORM\Column(length: 120)]
        public readonly string $uid,
    ) {
    }

    /**
     * @param int $now milliseconds since 1970
     */
    public function tell(Entry $entry, int $now): void
    {
        if ($this->digest === $entry->digest() && !$this->cancelled) {
            return;
        }
        $this->sequence += '' === $this->digest ? 0 : 1;
        [$this->title, $this->start, $this->end, $this->digest] = [
            mb_substr($entry->title, 0, 300),
            $entry->start,
            $entry->end,
            $entry->digest(),
        ];
        $this->cancelled = false;
        $this->changedAt = $now;
    }

    /**
     * @param int $now milliseconds since 1970
     */
    public function cancel(int $now): void
    {
        if (!$this->cancelled) {
            $this->cancelled = true;
            ++$this->sequence;
            $this->changedAt = $now;
        }
    }
}
