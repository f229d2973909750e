<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster\Rule;

use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\Dice;
use FreshHuddle\Core\Roster\Rule\Contradiction;
use PHPUnit\Framework\TestCase;

/**
 * Rules that cannot both be kept.
 */
final class ContradictionTest extends TestCase
{
    public function test_who_has_to_be_with_somebody_cannot_be_apart_from_them(): void
    {
        self::assertNull(Contradiction::among([], []));
        self::assertNull(Contradiction::among([['a', 'b']], [['b', 'c']]));
        self::assertSame(['a', 'b'], Contradiction::among([['a', 'b']], [['c', 'a', 'b']]));
        self::assertSame(
            ['a', 'd'],
            Contradiction::among([['a', 'b'], ['d', 'c'], ['c', 'b']], [['a', 'd']]),
            'through whomever',
        );
    }

    public function test_it_is_found_where_no_groups_at_all_keep_the_rules_and_nowhere_else(): void
    {
        $found = 0;
        for ($seed = 0; $seed < 300; ++$seed) {
            $dice = new Dice($seed);
            $rules = ['together' => [], 'apart' => []];
            for ($i = 0; $i < 4; ++$i) {
                $some = \array_slice($dice->shuffle(['a', 'b', 'c', 'd', 'e', 'f']), 0, 2 + $dice->below(2));
                $rules[0 === $dice->below(2) ? 'together' : 'apart'][] = $some;
            }
            $musts = [
                ...array_map(static fn (array $some): Rule => new Together($some), $rules['together']),
                ...array_map(static fn (array $some): Rule => new Apart($some), $rules['apart']),
            ];
            $contradicts = null !== Contradiction::among($rules['together'], $rules['apart']);
            $found += $contradicts ? 1 : 0;
            self::assertSame(
                !self::canBeKept(['a', 'b', 'c', 'd', 'e', 'f'], [], $musts),
                $contradicts,
                "seed {$seed}",
            );
        }
        self::assertGreaterThan(50, $found);
    }

    /**
     * Looks at every way to divide them.
     *
     * @param list<string>       $ids
     * @param list<list<string>> $groups
     * @param list<Rule>         $rules
     */
    private static function canBeKept(array $ids, array $groups, array $rules): bool
    {
        $id = array_shift($ids);
        if (null === $id) {
            foreach ($rules as $rule) {
                foreach ($groups as $g => $group) {
                    if (!$rule->isKeptIn($group, $g + 1, array_merge(...$groups))) {
                        return false;
                    }
                }
            }

            return true;
        }
        foreach ([...array_keys($groups), \count($groups)] as $g) {
            $next = $groups;
            $next[$g] = [...$groups[$g] ?? [], $id];
            if (self::canBeKept($ids, array_values($next), $rules)) {
                return true;
            }
        }

        return false;
    }
}
