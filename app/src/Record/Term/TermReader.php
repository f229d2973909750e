<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Debrief\Calling\CallState;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Record\EventReader;
use FreshHuddle\App\Record\Kept\KeptRecords;
use FreshHuddle\App\Record\RunFactReader;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Record\Correction\Figure;
use FreshHuddle\Core\Record\Term\GroupsUsed;
use FreshHuddle\Core\Record\Term\Term;
use FreshHuddle\Core\Record\Term\TermLesson;

/**
 * What a class's lessons say of it over the term. By hand: many lessons, one round trip for each kind of fact.
 */
final readonly class TermReader
{
    public function __construct(
        private Connection $db,
        private GroupingUsage $usage,
        private EventReader $events,
        private RunFactReader $runs,
        private KeptRecords $kept,
    ) {
    }

    /**
     * @return list<TermLesson> those that are over, in the order of time
     */
    public function lessons(string $classId): array
    {
        $rows = Row::all(
            $this->db->fetchAllAssociative(
                'SELECT id, title, begun_at, ended_at FROM lesson WHERE class_id = ? AND begun_at IS NOT NULL
                    AND ended_at IS NOT NULL AND NOT template AND removed_at IS NULL ORDER BY begun_at, id',
                [$classId],
            ),
        );
        $ends = [];
        foreach ($rows as $row) {
            $ends[$row->text('id')] = max($row->int('begun_at'), $row->int('ended_at'));
        }
        $events = $this->events->visits($ends);
        $moves = [];
        foreach ($events as $facts) {
            $moves += $facts->moves;
        }
        $runs = $this->runs->ofLessons($ends, $moves);
        [$expected, $arrived] = $this->presence(array_keys($ends));
        $called = $this->called(array_keys($ends));

        $kept = $this->kept->among(array_keys($ends));

        return array_map(
            static fn (Row $row): TermLesson => isset($kept[$row->text('id')])
                ? TermLesson::fromFacts($row->text('id'), $row->text('title'), $kept[$row->text('id')])
                : new TermLesson(
                    $row->text('id'),
                    $row->text('title'),
                    $row->int('begun_at'),
                    $expected[$row->text('id')] ?? [],
                    $arrived[$row->text('id')] ?? [],
                    $called[$row->text('id')] ?? [],
                    $runs[$row->text('id')],
                    $events[$row->text('id')]->visits,
                ),
            $rows,
        );
    }

    /**
     * @param list<string>     $students ids
     * @param list<TermLesson> $lessons
     */
    public function term(string $classId, array $students, array $lessons): Term
    {
        return Term::of(
            $students,
            $lessons,
            array_map(
                static fn (GroupingUse $use): GroupsUsed => new GroupsUsed($use->groups, $use->roles),
                $this->usage->uses($classId),
            ),
        );
    }

    /**
     * @param list<string> $lessons
     *
     * @return array{array<string, list<string>>, array<string, list<string>>} who was to be there, who was, by lesson
     */
    private function presence(array $lessons): array
    {
        $expected = $arrived = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT lesson_id, student_id, bool_or(there) AS there FROM (
                        SELECT e.lesson_id, e.student_id, e.data ->> 'place' NOT IN (:lost, :excused) AS there
                          FROM live_event e WHERE e.lesson_id = ANY(:lessons::uuid[]) AND e.kind = :seen
                            AND e.student_id IS NOT NULL
                        UNION ALL
                        SELECT u.lesson_id, s.student_id, false FROM run_last_seat s JOIN run u ON u.id = s.run_id
                          WHERE u.lesson_id = ANY(:lessons::uuid[]) AND NOT u.taken_back
                     ) x GROUP BY lesson_id, student_id",
                    [
                        'lessons' => '{'.implode(',', $lessons).'}',
                        'seen' => EventKind::WhereaboutsChanged->value,
                        'lost' => Place::Lost->value,
                        'excused' => Place::Excused->value,
                    ],
                ),
            ) as $row
        ) {
            $expected[$row->text('lesson_id')][] = $row->text('student_id');
            if ($row->bool('there')) {
                $arrived[$row->text('lesson_id')][] = $row->text('student_id');
            }
        }

        return [$expected, $arrived];
    }

    /**
     * @param list<string> $lessons
     *
     * @return array<string, array<string, int>> how often each was called on, corrected where somebody has, by lesson
     */
    private function called(array $lessons): array
    {
        $called = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT COALESCE(c.lesson_id, f.lesson_id) AS lesson_id,
                        COALESCE(c.student_id, f.student_id) AS student_id, COALESCE(f.value, c.times) AS times FROM (
                        SELECT lesson_id, student_id, COUNT(*) AS times FROM student_call
                          WHERE lesson_id = ANY(:lessons::uuid[]) AND state <> :passed GROUP BY lesson_id, student_id
                     ) c FULL JOIN (
                        SELECT lesson_id, student_id, value FROM figure_correction
                          WHERE lesson_id = ANY(:lessons::uuid[]) AND figure = :figure
                     ) f ON f.lesson_id = c.lesson_id AND f.student_id = c.student_id',
                    [
                        'lessons' => '{'.implode(',', $lessons).'}',
                        'passed' => CallState::Passed->value,
                        'figure' => Figure::CalledOn->value,
                    ],
                ),
            ) as $row
        ) {
            $called[$row->text('lesson_id')][$row->text('student_id')] = $row->int('times');
        }

        return $called;
    }
}
