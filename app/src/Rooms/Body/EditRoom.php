<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Body;

use FreshHuddle\App\Rooms\Member\AllowInRoom;
use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is null stays as it is.
 */
final readonly class EditRoom
{
    /**
     * @param string|null      $link    where it is, from now on one of the teacher's own links; '' takes the link away
     * @param SourceKind|null  $source  it comes from elsewhere from now on
     * @param AllowInRoom|null $allowed what is so in this room from now on
     * @param bool             $sure    also where people are in it just now
     */
    public function __construct(
        #[Assert\Length(max: 120, maxMessage: 'rooms.name_has_at_most_120_characters')]
        public ?string $name = null,
        #[Assert\Length(max: 1000, maxMessage: 'rooms.link_has_at_most_1000_characters')]
        public ?string $link = null,
        public ?SourceKind $source = null,
        public ?AllowInRoom $allowed = null,
        public bool $sure = false,
    ) {
    }
}
