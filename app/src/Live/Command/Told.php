<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * What is to be told of an event.
 */
final readonly class Told
{
    /**
     * @param int                 $seq         of the event
     * @param StudentMessage|null $message     for everybody; null: only those below ask again
     * @param list<string>        $to          students
     * @param bool                $wholeClass  everybody of the class asks again, whatever lesson they are in
     */
    public function __construct(
        public int $seq,
        public ?StudentMessage $message,
        public array $to = [],
        public bool $wholeClass = false,
    ) {
    }
}
