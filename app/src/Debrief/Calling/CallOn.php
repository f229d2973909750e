<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Calling;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: calls on somebody.
 */
final readonly class CallOn
{
    /**
     * @param int         $last  how many the page knows to have been called on in this lesson: a second press does
     *                           nothing
     * @param string|null $group only its members; null: of all groups, and of none
     * @param string      $role  only those who have this role in their group; '' for anybody
     * @param bool|null   $shown whether everybody sees who it is, from now on; null: as before
     */
    public function __construct(
        #[Assert\Range(min: 0, max: 100_000)]
        public int $last,
        #[Id]
        public ?string $group = null,
        #[Assert\Length(max: 40)]
        public string $role = '',
        public ?bool $shown = null,
    ) {
    }
}
