<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Calendar;

/**
 * Something that stands in a calendar.
 */
final readonly class Entry
{
    /**
     * @param string $uid   the same for the same thing, for ever
     * @param int    $start milliseconds since 1970
     * @param int    $end   milliseconds since 1970
     * @param string $where an address, or a place; '' for neither
     */
    public function __construct(
        public string $uid,
        public string $title,
        public int $start,
        public int $end,
        public string $where = '',
        public string $text = '',
    ) {
    }

    /**
     * What two versions of it are compared by.
     */
    public function digest(): string
    {
        return hash(
            'sha256',
            json_encode([$this->title, $this->start, $this->end, $this->where, $this->text], \JSON_THROW_ON_ERROR),
        );
    }
}
