<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

use FreshHuddle\App\Http\Body\Moment;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: gives a group more or less time.
 */
final readonly class EditTurn
{
    /**
     * @param int|null $share  of the time, for a turn to come: 1 to 9
     * @param int|null $endsAt for the one that is on: milliseconds since 1970
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 9)]
        public ?int $share = null,
        #[Moment]
        public ?int $endsAt = null,
    ) {
    }
}
