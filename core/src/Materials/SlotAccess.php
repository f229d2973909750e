<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * Who may write where in a copy that belongs to a group: its members and no other student.
 */
final readonly class SlotAccess
{
    /**
     * @param list<string> $members ids of the students whose group owns the copy, as things stand now
     */
    public function __construct(private array $members)
    {
    }

    public function mayRead(string $student): bool
    {
        return \in_array($student, $this->members, true);
    }

    /**
     * @param string|null $column whose answer it is in a slot with one answer each; null for an answer together
     */
    public function mayWrite(string $student, Block $slot, ?string $column): bool
    {
        return $this->mayRead($student) && match ($slot->kind) {
            BlockKind::Text => false,
            BlockKind::Each => $column === $student,
            BlockKind::Together => null === $column,
        };
    }
}
