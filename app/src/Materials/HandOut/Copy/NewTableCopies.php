<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\Core\Grouping\Floor;

/**
 * Makes the copies of groups and students who have come to a round after its copies were made.
 */
final readonly class NewTableCopies
{
    public function __construct(
        private HandOutPlan $plan,
        private DueCopies $due,
        private Cupboard $cupboard,
        private CopyStore $store,
        private CopyReader $reader,
        private CopyNames $names,
        private EarlierWork $earlierWork,
    ) {
    }

    /**
     * Makes the copies of groups that have just come about, where the round has any; those of others are left alone.
     *
     * @param list<string>          $groups
     * @param array<string, string> $partOf whose copies theirs begin with, by group
     * @param list<string>          $seats  students who have just got a seat: they get the copies of their own
     * @param bool                  $alone  only of work that is done alone
     */
    public function make(
        Round $round,
        Floor $floor,
        array $groups,
        array $partOf,
        array $seats = [],
        bool $alone = false,
    ): void {
        foreach ($partOf as $part => $whole) {
            $this->plan->split($round, $whole, (string) $part);
        }
        $copies = $this->reader->summaries($round->id);
        $there = [];
        foreach ($copies as $copy) {
            $there[$copy->original][$copy->groupId ?? ''] = $copy->id;
        }
        foreach ($this->plan->rows($round->id) as $row) {
            $master = $this->plan->original($row);
            $original = $this->cupboard->original($master);
            if (
                !isset($there[$row->original])
                || null !== $original->unfinished()
                || ($alone && null === $row->opensWith)
            ) {
                continue;
            }
            $wanted = $sources = $members = [];
            foreach ($this->due->forHandOut($row, $floor, null, $round->lesson->class) as $due) {
                $sitsThere =
                    null !== $due->student
                    && (\in_array($due->student, $seats, true)
                        || \in_array($floor->groupOf($due->student)?->id, $groups, true));
                if (!$sitsThere && !\in_array($due->group, $groups, true)) {
                    continue;
                }
                $source = null === $due->group ? null : $there[$row->original][$partOf[$due->group] ?? ''] ?? null;
                $pages =
                    null === $source
                        ? Pages::text($original->forCopies($due->variant))
                        : json_encode(
                            $this->store->held($source)['pages'],
                            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE,
                        );
                $wanted[] = [
                    'due' => $due,
                    'name' => $this->names->build($round, $floor, $due, $master->title),
                    'pages' => $pages,
                ];
                if (null !== $source) {
                    $sources["{$due->group}|{$due->student}"] = $source;
                    $members["{$due->group}|{$due->student}"] =
                        null === $due->group ? [] : $floor->group($due->group)->students;
                }
            }
            [$made] = $this->store->make($round->id, $master->id, $master->version, $master->title, $wanted, false);
            foreach (array_intersect_key($made, $sources) as $whose => $copy) {
                $this->earlierWork->goOn($sources[$whose], $copy, $members[$whose] ?? null);
            }
        }
    }
}
