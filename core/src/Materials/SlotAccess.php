<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * Who may write where in a copy: its members and no other student.
 */
final readonly class SlotAccess
{
    /**
     * @param list<string> $members ids of the students whose copy it is, as things stand now
     */
    public function __construct(private array $members, private HandOutWay $way = HandOutWay::Together)
    {
    }

    public function mayRead(string $student): bool
    {
        return \in_array($student, $this->members, true);
    }

    /**
     * @param string|null $column whose answer it is where everybody has their own; null for one of all
     */
    public function mayWrite(string $student, Block $block, ?string $column): bool
    {
        $slot = $block->slot();

        return null !== $slot && $this->way->mayWrite() && $this->mayRead($student) && ($slot->isAlone($block->settings) ? $column === $student : null === $column);
    }

    /**
     * Whether a member may see what another has in a slot.
     */
    public function maySee(string $student, Block $block, string $owner): bool
    {
        $slot = $block->slot();

        return null !== $slot && ($owner === $student || !$slot->isAlone($block->settings) || $slot->isShown($block->settings));
    }
}
