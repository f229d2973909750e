<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use FreshHuddle\App\Http\Body\Moment;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is to be sent of a round. What is null stays as it is.
 */
final readonly class SaveSending
{
    /**
     * @param string|null $unit  of the course, under which posts stand; '' for none
     * @param int|null    $dueAt milliseconds since 1970; 0 for none
     * @param string|null $zone  whose clock times are told by, as “Europe/Berlin”
     */
    public function __construct(
        public ?bool $posts = null,
        public ?bool $letters = null,
        #[Assert\Length(max: 120, maxMessage: 'ready.at_most_120_characters')]
        public ?string $unit = null,
        #[Moment]
        public ?int $dueAt = null,
        public ?bool $counted = null,
        #[Assert\Timezone(message: 'ready.no_time_zone')]
        public ?string $zone = null,
    ) {
    }
}
