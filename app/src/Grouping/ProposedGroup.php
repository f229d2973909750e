<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A group as it might be.
 */
final readonly class ProposedGroup
{
    /**
     * @param string|null  $id       of the table that stands on the floor; null: a table more
     * @param list<string> $students ids, seat 1 first
     */
    public function __construct(
        #[Id]
        public ?string $id,
        #[Assert\NotBlank(message: 'A group needs a name.', normalizer: 'trim'), Assert\Length(max: 60, maxMessage: 'A group name has at most 60 signs.')]
        public string $name,
        #[Assert\Count(max: 1_200), Assert\All([new Id()])]
        public array $students,
    ) {
    }
}
