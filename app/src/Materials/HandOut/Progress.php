<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\HandOut\Copy\CopyReader;
use FreshHuddle\App\Materials\Writing\WorkReader;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Member;
use FreshHuddle\Core\Materials\SlotAccess;

/**
 * How far the groups of a round are with their work: by the places there are in their own copies, and by who sits there
 * now.
 */
final readonly class Progress
{
    public function __construct(private CopyReader $copies, private Pages $pages, private WorkReader $work)
    {
    }

    /**
     * @return array<string, GroupProgress> by group
     */
    public function forRound(Round $round, Floor $floor): array
    {
        $since = $round->state()->lookFrom ?? 0;
        $done = [];
        foreach ($this->copies->progress($round->id, $since) as $row) {
            $done[$row->text('copy_id')][$row->text('owner')] = [
                'filled' => $row->int('filled'),
                'at' => $row->intOrNull('at'),
            ];
        }
        $ofWhom = [];
        foreach ($this->copies->written($round->id) as $copy) {
            $ofWhom[$copy->textOrNull('group_id') ?? $copy->text('student_id')][] = $copy;
        }
        $places = array_map($this->places(...), $this->copies->forms($round->id));
        $seats =
            [] === array_filter($places, static fn (array $form): bool => [] !== $form['parts'])
                ? []
                : $this->work->members($round->id);
        $authors = $this->copies->authors($round->id, $since);
        $progress = [];
        foreach ($floor->groups as $group) {
            $all = $filled = 0;
            $changed = null;
            foreach ([$group->id, ...$group->students] as $whose) {
                foreach ($ofWhom[$whose] ?? [] as $copy) {
                    $form = $places[$copy->text('form')] ?? ['alone' => 0, 'together' => 0, 'parts' => []];
                    $members = null === $copy->textOrNull('student_id') ? $group->students : [$whose];
                    $all += $form['together'] + $form['alone'] * \count($members);
                    if ([] !== $form['parts']) {
                        $access = new SlotAccess(self::seated($group, $members, $seats[$group->id] ?? []));
                        $all += array_sum(array_map($access->places(...), $form['parts']));
                    }
                    // What somebody wrote who sits elsewhere by now is in the copy, and not theirs to fill.
                    foreach ([$copy->text('id'), ...$members] as $owner) {
                        $filled += $done[$copy->text('id')][$owner]['filled'] ?? 0;
                        $changed = max($changed ?? 0, $done[$copy->text('id')][$owner]['at'] ?? 0);
                    }
                }
            }
            $progress[$group->id] = new GroupProgress(
                0 === ($changed ?? 0) ? null : $changed,
                min($all, $filled),
                $all,
                array_values(array_intersect($group->students, $authors)),
            );
        }

        return $progress;
    }

    /**
     * @param array<array-key, mixed> $pages
     *
     * @return array{alone: int, together: int, parts: list<Block>} places that each member fills, that are filled
     *     together, and that a part of the group fills
     */
    private function places(array $pages): array
    {
        $places = ['alone' => 0, 'together' => 0, 'parts' => []];
        foreach ($this->pages->read($pages) as $page) {
            foreach ($page->blocks as $view) {
                $block = $view->block();
                $slot = $block->slot();
                if (null !== $slot && !$block->settings->part->isEverybody()) {
                    $places['parts'][] = $block;
                } elseif (null !== $slot) {
                    ++$places[$slot->isAlone($block->settings) ? 'alone' : 'together'];
                }
            }
        }

        return $places;
    }

    /**
     * @param list<string> $students whose copy it is
     * @param list<Member> $seats    of the group, as they were sent out; none where they were not yet
     *
     * @return list<Member>
     */
    private static function seated(Group $group, array $students, array $seats): array
    {
        $bySeat =
            [] !== $seats
                ? $seats
                : array_map(
                    static fn (string $student, int $i): Member => new Member($student, $i + 1),
                    $group->students,
                    array_keys($group->students),
                );

        return array_values(
            array_filter($bySeat, static fn (Member $member): bool => \in_array($member->student, $students, true)),
        );
    }
}
