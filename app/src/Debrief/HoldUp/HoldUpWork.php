<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: shows a piece of work to everybody.
 */
final readonly class HoldUpWork
{
    /**
     * @param string|null $page   null: all pages
     * @param string|null $slot   only this place of it
     * @param string|null $owner  only the answer of this student in it
     * @param bool        $beside beside what is shown already, to compare; else instead of it
     */
    public function __construct(
        #[Id]
        public string $copy,
        #[Assert\Length(max: 40)]
        public ?string $page = null,
        #[Assert\Length(max: 40)]
        public ?string $slot = null,
        #[Id]
        public ?string $owner = null,
        public bool $beside = false,
    ) {
    }
}
