<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

use FreshHuddle\Core\Message;

/**
 * What is not in place, or is worth a look.
 */
final readonly class Finding
{
    /**
     * @param string       $check   which check found it
     * @param Message      $says    what and where
     * @param Message|null $press   what the press is called; null: as its kind is
     * @param string|null  $subject id of what the press or the screen is about
     * @param list<int>    $rounds  numbers of the rounds it is about
     * @param Mend|null    $other   another press that mends it, for a lesson that is meant to be so
     */
    public function __construct(
        public string $check,
        public Weight $weight,
        public Message $says,
        public Mend $mend,
        public ?Message $press = null,
        public ?string $subject = null,
        public array $rounds = [],
        public ?Mend $other = null,
    ) {
    }

    /**
     * The same, about these rounds.
     *
     * @param list<int> $rounds numbers
     */
    public function about(array $rounds): self
    {
        return new self(
            $this->check,
            $this->weight,
            $this->says,
            $this->mend,
            $this->press,
            $this->subject,
            $rounds,
            $this->other,
        );
    }
}
