<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\SignUp;

use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;

/**
 * Who keeps the seat they took when a sign-up closes. While it is open nobody is told of a rule, by a refusal or by
 * anything else; so a rule may be broken then, and whoever sat down first stays.
 */
final readonly class FirstCome
{
    /**
     * @param list<list<string>> $tables ids, at each table in the order they sat down
     * @param list<Rule>         $rules
     *
     * @return list<string> ids of those who keep their seat: among them no rule is broken
     *
     * Complexity: O(seated + students named by rules)
     */
    public static function keep(array $tables, array $rules): array
    {
        $kept = [];
        foreach ($tables as $t => $table) {
            foreach ($table as $place => $id) {
                $kept[$id] = [$t, $place];
            }
        }
        foreach ($rules as $rule) {
            $seated = array_values(array_filter($rule->students(), static fn (string $id): bool => isset($kept[$id])));
            if ($rule instanceof Apart) {
                usort($seated, static fn (string $a, string $b): int => $kept[$a] <=> $kept[$b]);
                $taken = [];
                foreach ($seated as $id) {
                    if (isset($taken[$kept[$id][0]])) {
                        unset($kept[$id]);
                    } else {
                        $taken[$kept[$id][0]] = true;
                    }
                }
            } elseif ($rule instanceof Together && [] !== $seated) {
                $at = array_count_values(array_map(static fn (string $id): int => $kept[$id][0], $seated));
                arsort($at);
                $home = array_key_first($at);
                foreach ($seated as $id) {
                    if ($kept[$id][0] !== $home) {
                        unset($kept[$id]);
                    }
                }
            }
        }

        return array_map(strval(...), array_keys($kept));
    }
}
