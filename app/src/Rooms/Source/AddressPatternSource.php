<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\Core\Refused;
use FreshHuddle\Core\Rooms\AddressPattern;
use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Addresses with names in them. A room keeps the address it has had once, whatever its group is called later.
 */
final readonly class AddressPatternSource implements Source
{
    public function __construct(
        private RoomSources $sources,
        #[Autowire('%env(APP_SECRET)%'), \SensitiveParameter]
        private string $secret,
    ) {
    }

    public static function kind(): SourceKind
    {
        return SourceKind::NamePattern;
    }

    public function provision(Room $room, array $people, array $named, RoomStore $store): array
    {
        if (null === $room->link) {
            $pattern = $this->sources->forClass($room->class)->addressPattern;
            if ('' === $pattern) {
                throw NoLinkYet::said();
            }
            try {
                $link = (new AddressPattern($pattern))->link(
                    $named,
                    AddressPattern::tail($this->secret.'|tail|'.$room->id),
                );
            } catch (Refused $e) {
                throw NoLinkYet::because($e->says);
            }
            $store->link($room, $link);
        }

        return array_map(static fn (): string => $room->link ?? '', $people);
    }

    public function change(Room $room): void
    {
    }

    public function entryUrl(string $link): string
    {
        return $link;
    }

    public function retire(string $externalId): void
    {
    }
}
