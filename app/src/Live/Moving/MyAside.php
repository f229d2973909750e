<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use FreshHuddle\App\Live\Student\MyRoom;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\SourceKind;
use FreshHuddle\Core\Rooms\WayIn;

/**
 * Where a student is to be for a while, and not with their group.
 */
final readonly class MyAside
{
    /**
     * @param string      $place `main` or the id of a side room
     * @param int         $from  from when, in milliseconds since 1970
     * @param string      $name  of the side room; '' for the main session
     * @param MyRoom|null $room  the way into the side room; null: the main session has its own
     */
    public function __construct(public string $place, public int $from, public string $name, public ?MyRoom $room)
    {
    }

    /**
     * @param array<array-key, mixed> $row place, from, fetched at, source of the side room, its name, whether there is
     *     a way in
     */
    public static function read(array $row): ?self
    {
        [$place, $from, , $source, $name, $isLinked] = $row + [null, null, null, null, null, null];
        if (!\is_string($place) || !\is_int($from)) {
            return null;
        }
        if (MainSession::PLACE === $place) {
            return new self($place, $from, '', null);
        }
        $kind = \is_string($source) ? SourceKind::tryFrom($source) : null;
        $name = \is_string($name) ? $name : '';
        $way = match (true) {
            true === $kind?->isHere() => WayIn::Here,
            true === $isLinked => WayIn::Press,
            false === $kind?->hasLink() => WayIn::Place,
            default => WayIn::None,
        };

        return new self($place, $from, $name, new MyRoom($way, WayIn::Place === $way ? $name : '', []));
    }
}
