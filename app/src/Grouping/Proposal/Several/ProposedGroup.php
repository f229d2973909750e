<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Several;

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
        #[Assert\NotBlank(message: 'grouping.group_needs_name', normalizer: 'trim'),
            Assert\Length(max: 60, maxMessage: 'grouping.group_name_at_most_60_characters'),]
        public string $name,
        #[Assert\Count(max: 1_200), Assert\All([new Id()])]
        public array $students,
    ) {
    }
}
