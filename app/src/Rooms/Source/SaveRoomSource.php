<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\Core\Rooms\RoomLife;
use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is null stays as it is.
 */
final readonly class SaveRoomSource
{
    /**
     * @param string|null $openedBy      the role of whoever opens a room; '' where nobody has to
     * @param int|null    $recordingDays recordings of rooms of our own are kept; 0: there are none
     */
    public function __construct(
        public ?SourceKind $kind = null,
        #[Assert\Length(
            min: 1,
            max: 120,
            minMessage: 'rooms.pattern_is_empty',
            maxMessage: 'rooms.pattern_has_at_most_120_characters',
        ),]
        public ?string $namePattern = null,
        #[Assert\Length(max: 400, maxMessage: 'rooms.address_has_at_most_400_characters'),]
        public ?string $addressPattern = null,
        #[Assert\Length(max: 60, maxMessage: 'rooms.role_has_at_most_60_characters')]
        public ?string $openedBy = null,
        public ?RoomLife $life = null,
        public ?bool $mayRecord = null,
        public ?bool $mayShareScreen = null,
        public ?bool $mayWrite = null,
        public ?bool $takesIn = null,
        #[Assert\Range(min: 0, max: 60, notInRangeMessage: 'rooms.recordings_are_kept_at_most_60_days')]
        public ?int $recordingDays = null,
    ) {
    }
}
