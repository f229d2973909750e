<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Rule;

/**
 * Musts that can hold together in no groups at all: somebody has to be with somebody, through whomever, whom they have
 * to be apart from. What groups of a certain size allow is the grouping computation's to say.
 */
final class Contradiction
{
    /**
     * Complexity: O(names in the rules).
     *
     * @param list<list<string>> $together ids, a list a rule
     * @param list<list<string>> $apart
     *
     * @return array{string, string}|null two who have to be together and apart
     */
    public static function among(array $together, array $apart): ?array
    {
        /** @var array<string, string> $leader */
        $leader = [];
        foreach ($together as $students) {
            foreach ($students as $student) {
                $leader[self::leader($student, $leader)] = self::leader($students[0], $leader);
            }
        }
        foreach ($apart as $students) {
            $seen = [];
            foreach ($students as $student) {
                $with = self::leader($student, $leader);
                if (isset($seen[$with])) {
                    return [$seen[$with], $student];
                }
                $seen[$with] = $student;
            }
        }

        return null;
    }

    /**
     * @param array<string, string> $leader
     */
    private static function leader(string $id, array $leader): string
    {
        while (($leader[$id] ?? $id) !== $id) {
            $id = $leader[$id];
        }

        return $id;
    }
}
