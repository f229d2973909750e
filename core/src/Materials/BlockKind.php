<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

enum BlockKind: string
{
    /** Text to read. */
    case Text = 'text';
    /** A slot with one answer for each member of the group. */
    case Each = 'each';
    /** A slot with one answer the group writes together. */
    case Together = 'together';

    public function isSlot(): bool
    {
        return self::Text !== $this;
    }
}
