<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * What a group gets of a material.
 */
enum HandOutWay: string
{
    case Nothing = 'nothing';
    /** A copy of the group, to read. */
    case Read = 'read';
    /** A copy of the group, to write in together. */
    case Together = 'together';
    /** A copy for each member. */
    case Each = 'each';
    /** One copy for the whole class. */
    case All = 'all';

    public function mayWrite(): bool
    {
        return self::Nothing !== $this && self::Read !== $this;
    }
}
