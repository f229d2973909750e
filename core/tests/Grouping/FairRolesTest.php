<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping;

use FreshHuddle\Core\Grouping\FairRoles;
use PHPUnit\Framework\TestCase;

/**
 * Roles go round fairly.
 */
final class FairRolesTest extends TestCase
{
    public function test_a_role_goes_to_the_one_who_has_had_it_least_often(): void
    {
        $before = [['a', 'lead'], ['b', 'lead'], ['a', 'lead'], ['c', 'scribe']];
        self::assertSame(
            ['d', 'a', 'b', 'c'],
            FairRoles::seat(['a', 'b', 'c', 'd'], [1 => 'lead'], $before),
            'c has had a role, d none',
        );
        self::assertSame(
            ['b', 'a', 'c'],
            FairRoles::seat(['a', 'b', 'c'], [1 => 'lead'], [['a', 'lead'], ['c', 'scribe'], ['c', 'lead']]),
        );
    }

    public function test_over_as_many_rounds_as_members_everybody_has_each_role_once(): void
    {
        $students = ['a', 'b', 'c', 'd'];
        $before = [];
        $had = ['lead' => [], 'scribe' => []];
        for ($round = 0; $round < 4; ++$round) {
            $students = FairRoles::seat($students, [1 => 'lead', 3 => 'scribe'], $before);
            foreach ([0 => 'lead', 2 => 'scribe'] as $seat => $role) {
                $before[] = [$students[$seat], $role];
                $had[$role][] = $students[$seat];
            }
        }
        self::assertCount(4, array_unique($had['lead']));
        self::assertCount(4, array_unique($had['scribe']));
    }

    public function test_who_is_marked_for_a_role_comes_first_and_nobody_is_lost(): void
    {
        self::assertSame(
            ['c', 'a', 'b'],
            FairRoles::seat(['a', 'b', 'c'], [1 => 'Lead'], [['c', 'Lead']], ['c' => ['lead']]),
        );
        self::assertSame(['a'], FairRoles::seat(['a'], [1 => 'lead', 2 => 'scribe'], []));
        self::assertSame([], FairRoles::seat([], [1 => 'lead'], []));
    }
}
