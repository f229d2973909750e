<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * Who may write and see what in a copy: its members and no other student; where a slot is for a part of the group, that
 * part writes.
 */
final readonly class SlotAccess
{
    /**
     * @param list<Member> $members the students whose copy it is, as things stand now
     */
    public function __construct(private array $members, private HandOutWay $way = HandOutWay::Together)
    {
    }

    public function mayRead(string $student): bool
    {
        return null !== $this->member($student);
    }

    /**
     * @return list<string> ids of the members who fill it; none where no seat of this group is meant
     */
    public function fillers(Block $block): array
    {
        return array_values(
            array_map(
                static fn (Member $member): string => $member->student,
                array_filter(
                    $this->members,
                    static fn (Member $member): bool => $block->settings->part->holds($member),
                ),
            ),
        );
    }

    /**
     * How many answers a slot waits for.
     */
    public function places(Block $block): int
    {
        $slot = $block->slot();
        $fillers = \count($this->fillers($block));

        return match (true) {
            null === $slot => 0,
            $slot->isAlone($block->settings) => $fillers,
            default => $block->settings->part->isEverybody() ? 1 : min(1, $fillers),
        };
    }

    /**
     * @param string|null $column whose answer it is where everybody has their own; null for one of all
     */
    public function mayWrite(string $student, Block $block, ?string $column): bool
    {
        $slot = $block->slot();

        return null !== $slot
            && $this->way->mayWrite()
            && $this->isFor($student, $block)
            && ($slot->isAlone($block->settings) ? $column === $student : null === $column);
    }

    /**
     * Whether a member sees what stands in a slot, so far as it is not hidden from each other member.
     */
    public function maySeeSlot(string $student, Block $block): bool
    {
        return $this->mayRead($student) && (!$block->settings->part->private || $this->isFor($student, $block));
    }

    /**
     * Whether a member may see what another has in a slot.
     */
    public function maySee(string $student, Block $block, string $owner): bool
    {
        $slot = $block->slot();

        return null !== $slot
            && $this->maySeeSlot($student, $block)
            && ($owner === $student || !$slot->isAlone($block->settings) || $slot->isShown($block->settings));
    }

    private function isFor(string $student, Block $block): bool
    {
        $member = $this->member($student);

        return null !== $member && $block->settings->part->holds($member);
    }

    private function member(string $student): ?Member
    {
        foreach ($this->members as $member) {
            if ($member->student === $student) {
                return $member;
            }
        }

        return null;
    }
}
