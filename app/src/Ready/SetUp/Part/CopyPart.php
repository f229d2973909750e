<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Part;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\HandOut\Copy\CopyReader;
use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\HandOut\Plan\PlannedRows;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Ready\SetUp\CopyThere;
use FreshHuddle\Core\Ready\SetUp\WantedCopy;

/**
 * The copies of a round: those there should be, and those that are there.
 */
final readonly class CopyPart
{
    public function __construct(
        private PlannedRows $rows,
        private CopyReader $copies,
    ) {
    }

    /**
     * @return array{copies: list<WantedCopy>, waiting: list<string>} what there should be, and originals whose copies
     *     are left as they are
     */
    public function wanted(Round $round, Floor $floor): array
    {
        $tableOf = $copies = $waiting = [];
        foreach ($floor->groups as $group) {
            foreach ($group->students as $student) {
                $tableOf[$student] = $group->id;
            }
        }
        foreach ($this->rows->due($round, $floor) as $row) {
            if ($row->isUnfinished) {
                $waiting[] = $row->original;
                continue;
            }
            foreach ($row->due as $due) {
                $table = $due->group ?? (null === $due->student ? null : $tableOf[$due->student] ?? null);
                $copies[] = new WantedCopy(
                    $row->original,
                    $row->title,
                    $table,
                    $due->group,
                    $due->student,
                    $due->variant,
                    $row->version,
                    isset($row->earlier["{$due->group}|{$due->student}"]),
                );
            }
        }

        return ['copies' => $copies, 'waiting' => $waiting];
    }

    /**
     * What belongs to somebody on the list who has no seat just now waits for them.
     *
     * @param array<string, string>                                  $names
     * @param array{copies: list<WantedCopy>, waiting: list<string>} $wanted
     * @param list<CopySummary>|null                                 $copies
     *
     * @return list<CopyThere>
     */
    public function there(Round $round, Floor $floor, array $names, array $wanted, ?array $copies): array
    {
        $copies ??= $this->copies->summaries($round->id);
        $worked = [] === $copies ? [] : $this->copies->worked($round->id);
        $titles = [] === $copies ? [] : $this->copies->titles($round->id);
        $seated = array_flip($floor->seated());
        $there = [];
        foreach ($copies as $copy) {
            $waits =
                \in_array($copy->original, $wanted['waiting'], true)
                || (null !== $copy->studentId && isset($names[$copy->studentId]) && !isset($seated[$copy->studentId]));
            $there[] = new CopyThere(
                $copy->id,
                $copy->original,
                $titles[$copy->original] ?? '',
                $copy->name,
                $copy->groupId,
                $copy->studentId,
                $copy->variant,
                $copy->version,
                $worked[$copy->id] ?? 0,
                $waits,
            );
        }

        return $there;
    }
}
