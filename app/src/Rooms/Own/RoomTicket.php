<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

/**
 * What lets one page into one room, once.
 */
final readonly class RoomTicket
{
    /**
     * @param string          $place   `main`, or the id of a group or a side room
     * @param string          $me      who comes in, as the media server calls them
     * @param string          $address where the media server is reached, on this origin, for two minutes
     * @param string          $room    what the media server calls the room
     * @param string          $token   opens it once
     * @param bool            $share   whether screens may be shared there
     * @param RelayKey|null   $relay   for networks that let no UDP through; null: there is none
     * @param RoomKey|null    $voice   where the teacher speaks to all rooms; null: for whoever goes there to speak
     * @param bool            $recorded what is said there is recorded
     */
    public function __construct(
        public string $place,
        public string $me,
        public string $address,
        public string $room,
        public string $token,
        public bool $share,
        public ?RoomKey $voice,
        public ?RelayKey $relay,
        public bool $recorded = false,
    ) {
    }

    public function withRecording(bool $recorded): self
    {
        return new self(
            $this->place,
            $this->me,
            $this->address,
            $this->room,
            $this->token,
            $this->share,
            $this->voice,
            $this->relay,
            $recorded,
        );
    }
}
