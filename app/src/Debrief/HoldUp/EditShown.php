<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: changes how work is shown. What is null stays as it is.
 */
final readonly class EditShown
{
    /**
     * @param bool|null   $names    with the names of its group and its writers
     * @param bool|null   $frozen   as it stands now
     * @param bool|null   $right    a sum with what is right
     * @param int|null    $position which of two the pointer is on: 0 or 1
     * @param string|null $pointer  what the teacher points at, as the page names it; '' for nothing
     */
    public function __construct(
        public ?bool $names = null,
        public ?bool $frozen = null,
        public ?bool $right = null,
        #[Assert\Range(min: 0, max: 1)]
        public ?int $position = null,
        #[Assert\Regex('/^[A-Za-z0-9:_-]{0,200}$/D')]
        public ?string $pointer = null,
    ) {
    }
}
