<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * Where the whole class meets.
 */
final class MainSession
{
    /** What it is called among places, where a group's room has the group's id. */
    public const PLACE = 'main';
}
