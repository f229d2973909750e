<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\DryRun\Behaviours;
use FreshHuddle\Core\DryRun\Draw;
use FreshHuddle\Core\DryRun\Mind;

/**
 * A whole lesson with simulated students and a teacher who does what the screens propose, in less time than it takes to
 * press the button. Groups are sent out and called back by the rules of a real lesson, visited in the real order, and
 * where everybody is follows from the same evidence.
 */
final class Rehearsal
{
    /**
     * @param int $seed the same seed gives the same lesson
     *
     * @return list<RehearsedRound> in their order
     *
     * Complexity: O(students · minutes · (slots + acts a minute))
     */
    public static function of(PlannedLesson $lesson, int $seed): array
    {
        $people = [];
        foreach ($lesson->students as $key => $name) {
            $id = (string) $key;
            $behaviour = Behaviours::draw($seed, $id, $name, $lesson->minutes, $lesson->isYoung);
            $people[$id] = new Person($id, new Mind($behaviour, 0, $seed, $id));
        }
        $rehearsed = [];
        foreach ($lesson->rounds as $round) {
            $rehearsed[] = (new RoundRehearsal(
                $lesson,
                $round,
                $people,
                Draw::for($seed, 'teacher', $round->number),
            ))->run();
        }

        return $rehearsed;
    }
}
