<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Rooms\Meeting;

/**
 * People who come into rooms of a service as its pages have them do, over the network.
 */
interface Visitor
{
    /**
     * @param array<string, string> $links what the service has given its members, by person
     *
     * @return string what lets somebody in
     */
    public function invite(string $room, string $person, array $links): string;

    /**
     * @return bool whether they were let in
     *
     * @phpstan-impure
     */
    public function enter(string $invitation): bool;

    /**
     * Their page does as it is told, if it was told anything.
     *
     * @param string|null $to where our own page would take them now
     */
    public function follow(string $invitation, ?string $to): void;
}
