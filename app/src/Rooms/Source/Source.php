<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * One way rooms come about.
 */
#[AutoconfigureTag]
interface Source
{
    public static function kind(): SourceKind;

    /**
     * Brings a room about if it is not there yet, and says who may enter: these and nobody else. Safe to do twice; who
     * stays keeps the way they had.
     *
     * @param array<string, string>     $people our id of a person => the name to show
     * @param array<string, string|int> $named  what names and addresses are made of, a value a placeholder
     *
     * @return array<string, string> our id => the way in; '' where there is no address
     *
     * @throws NoLinkYet            where somebody has to say first where the room is
     * @throws MeetingServiceFailed
     */
    public function provision(Room $room, array $people, array $named, RoomStore $store): array;

    /**
     * The room is called otherwise, or other things are allowed in it. Safe to do twice.
     *
     * @throws MeetingServiceFailed
     */
    public function change(Room $room): void;

    /**
     * The address that takes the browser that opens it in. Asks nobody.
     */
    public function entryUrl(string $link): string;

    /**
     * Lets go of a room that is not wanted there any more. Safe to do twice.
     *
     * @throws MeetingServiceFailed
     */
    public function retire(string $externalId): void;
}
