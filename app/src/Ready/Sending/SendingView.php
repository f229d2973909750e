<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

/**
 * What is sent of a round, and what came of it.
 */
final readonly class SendingView
{
    /**
     * @param string           $unit      of the course, under which posts stand; '' for none
     * @param int|null         $dueAt     when the work is due. Milliseconds since 1970
     * @param bool             $counted   for marks
     * @param int              $posted    how many posts are in the portal
     * @param int              $written   how many letters have been taken
     * @param int              $addresses how many students have an address
     * @param list<LetterBack> $back      letters that were refused, or came back
     * @param string|null      $portal    where the course is; null while nothing is posted there
     */
    public function __construct(
        public bool $posts,
        public bool $letters,
        public string $unit,
        public ?int $dueAt,
        public bool $counted,
        public int $posted,
        public int $written,
        public int $addresses,
        public array $back,
        public ?string $portal,
    ) {
    }
}
