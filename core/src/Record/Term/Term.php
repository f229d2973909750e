<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Term;

use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\Span;

/**
 * A class over its lessons: who has worked with whom, who had which role, was called on, was missing, was visited.
 */
final readonly class Term
{
    /**
     * @param list<TermStudent>              $students in the order they were given in
     * @param array<int, array<int, int>>    $together how often two were in one group, by their places among the
     *                                                 students; sparse, the smaller place first
     */
    private function __construct(public array $students, public array $together)
    {
    }

    /**
     * @param list<string>     $students whom it is about
     * @param list<TermLesson> $lessons  in the order of time
     * @param list<GroupsUsed> $used     in the order of time
     *
     * @return self O(lessons × (seats + visits) + pairs in one group)
     */
    public static function of(array $students, array $lessons, array $used): self
    {
        $places = array_flip($students);
        $roles = $together = [];
        foreach ($used as $use) {
            foreach ($use->groups as $group) {
                self::meet($group, $places, $together);
            }
            foreach ($use->roles as [$student, $role]) {
                $roles[$student][$role] = ($roles[$student][$role] ?? 0) + 1;
            }
        }
        ksort($together);
        $there = $called = $visited = [];
        foreach ($lessons as $i => $lesson) {
            foreach ($lesson->expected as $student) {
                $there[$student][$i] = false;
            }
            foreach ($lesson->arrived as $student) {
                $there[$student][$i] = true;
            }
            foreach ($lesson->called as $student => $times) {
                $called[$student][$i] = $times;
            }
            foreach (self::visited($lesson) as $student => $ms) {
                $visited[$student][$i] = $ms;
            }
        }
        $each = array_keys($lessons);

        return new self(
            array_map(
                static fn (string $id): TermStudent => new TermStudent(
                    $id,
                    array_map(static fn (int $i): ?bool => $there[$id][$i] ?? null, $each),
                    array_map(static fn (int $i): int => $called[$id][$i] ?? 0, $each),
                    array_map(static fn (int $i): int => $visited[$id][$i] ?? 0, $each),
                    $roles[$id] ?? [],
                ),
                $students,
            ),
            $together,
        );
    }

    public function together(int $one, int $other): int
    {
        return $this->together[min($one, $other)][max($one, $other)] ?? 0;
    }

    /**
     * @param list<string>                $group
     * @param array<string, int>          $places
     * @param array<int, array<int, int>> $together
     */
    private static function meet(array $group, array $places, array &$together): void
    {
        $here = [];
        foreach ($group as $student) {
            if (isset($places[$student])) {
                $here[] = $places[$student];
            }
        }
        sort($here);
        foreach ($here as $at => $one) {
            foreach (\array_slice($here, $at + 1) as $other) {
                $together[$one][$other] = ($together[$one][$other] ?? 0) + 1;
            }
        }
    }

    /**
     * @return array<string, int> milliseconds with somebody of the staff, two at the same time once; by student
     */
    private static function visited(TermLesson $lesson): array
    {
        $byGroup = [];
        foreach ($lesson->visits as $visit) {
            $byGroup[$visit->group][] = $visit;
        }
        $visited = [];
        foreach ($lesson->runs as $run) {
            foreach ($run->seats as $seat) {
                $spans = array_map(
                    static fn (VisitFact $visit): Span => new Span(
                        max($visit->from, $seat->from),
                        min($visit->to, $seat->to),
                    ),
                    $byGroup[$seat->group] ?? [],
                );
                $visited[$seat->student] = ($visited[$seat->student] ?? 0) + Span::covered($spans);
            }
        }

        return $visited;
    }
}
