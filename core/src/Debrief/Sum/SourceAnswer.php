<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

/**
 * What one group, or one student, has put into a slot.
 */
final readonly class SourceAnswer
{
    /**
     * @param string $source whose it is: an id, of a group or a student
     * @param string $value  as SlotKind::read gives it
     */
    public function __construct(public string $source, public string $value)
    {
    }
}
