<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * There is no such student or group here.
 */
final class NotOnTheFloor extends Refused
{
    public static function student(string $id): self
    {
        return new self(new Message('grouping.floor.no_seat', ['student' => $id]));
    }

    public static function group(string $id): self
    {
        return new self(new Message('grouping.floor.no_group', ['group' => $id]));
    }

    public static function partOf(string $groupId): self
    {
        return new self(new Message('grouping.floor.part', ['group' => $groupId]));
    }
}
