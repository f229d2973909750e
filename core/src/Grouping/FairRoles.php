<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

/**
 * Hands out roles fairly: among those who are marked for a role, or among all where nobody is, it goes to the member
 * who has had it least often, then to the one with the fewest roles at all, then by seat. Who has a role sits in its
 * seat; the others keep their order.
 */
final class FairRoles
{
    /**
     * Complexity: O(roles · size).
     *
     * @param list<string>                $students ids, seat 1 first
     * @param array<int, string>          $roles    seat number, from 1 => role
     * @param list<array{string, string}> $before   student, role: once each time
     * @param array<string, list<string>> $marked   student => roles they are marked for
     *
     * @return list<string> the same students in the order of their new seats
     */
    public static function seat(array $students, array $roles, array $before, array $marked = []): array
    {
        ksort($roles);
        $left = $students;
        $placed = [];
        foreach ($roles as $number => $role) {
            if ($number > \count($students) || [] === $left) {
                continue;
            }
            $had = static fn (string $student): array => [
                \in_array(mb_strtolower($role), array_map(mb_strtolower(...), $marked[$student] ?? []), true) ? 0 : 1,
                \count(array_filter($before, static fn (array $turn): bool => $turn === [$student, $role])),
                \count(array_filter($before, static fn (array $turn): bool => $turn[0] === $student)),
                (int) array_search($student, $students, true),
            ];
            $next = $left[0];
            foreach ($left as $student) {
                if ($had($student) < $had($next)) {
                    $next = $student;
                }
            }
            $placed[$number] = $next;
            $left = array_values(array_diff($left, [$next]));
        }
        $seated = [];
        for ($number = 1; $number <= \count($students); ++$number) {
            $seated[] = $placed[$number] ?? (string) array_shift($left);
        }

        return $seated;
    }
}
