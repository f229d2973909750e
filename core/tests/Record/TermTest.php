<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Record;

use FreshHuddle\Core\Record\Fact\GroupFact;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\SeatFact;
use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\Term\GroupsUsed;
use FreshHuddle\Core\Record\Term\Term;
use FreshHuddle\Core\Record\Term\TermLesson;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * What a class's lessons come to over a term.
 */
final class TermTest extends TestCase
{
    public function test_two_who_shared_a_group_have_worked_together_as_often_as_it_was_sent_out(): void
    {
        $term = Term::of(['ada', 'ben', 'chi'], [], [
            new GroupsUsed([['ada', 'ben'], ['chi', 'gone']], [['ada', 'Lead']]),
            new GroupsUsed([['chi', 'ben', 'ada']], [['ada', 'Lead'], ['chi', 'Scribe']]),
        ]);
        self::assertSame([2, 1, 1], [$term->together(0, 1), $term->together(2, 0), $term->together(1, 2)]);
        self::assertSame(['Lead' => 2], $term->students[0]->roles);
        self::assertSame(['Scribe' => 1], $term->students[2]->roles);
        self::assertSame([], $term->students[1]->roles);
    }

    public function test_missing_is_whoever_was_expected_and_never_arrived(): void
    {
        $term = Term::of(['ada', 'ben', 'chi'], [
            new TermLesson('1', '', 0, ['ada', 'ben'], ['ada'], ['ada' => 2], [], []),
            new TermLesson('2', '', 9, ['ada'], ['ada', 'chi'], [], [], []),
        ], []);
        self::assertSame([true, true], $term->students[0]->there);
        self::assertSame([false, null], $term->students[1]->there);
        self::assertSame([null, true], $term->students[2]->there, 'an unexpected guest was there');
        self::assertSame([1, 1], [$term->students[1]->missing(), $term->students[1]->lessons()]);
        self::assertSame([2, 0], $term->students[0]->called);
    }

    public function test_a_visit_counts_for_whoever_sat_there_then(): void
    {
        $run = new RunFact('r', 1, 0, 100, [new GroupFact('a', 'A', 0), new GroupFact('b', 'B', 1)], [
            new SeatFact('ada', 'a', 0, 40),
            new SeatFact('ada', 'b', 40, 100),
            new SeatFact('ben', 'a', 0, 100),
        ]);
        $visits = [new VisitFact('a', 'ines', 20, 60), new VisitFact('a', 'joel', 50, 70), new VisitFact('b', 'ines', 60, 90)];
        $term = Term::of(['ada', 'ben'], [new TermLesson('1', '', 0, [], [], [], [$run], $visits)], []);
        self::assertSame([20 + 30], $term->students[0]->visitedMs);
        self::assertSame([50], $term->students[1]->visitedMs, 'two of the staff at the same time count once');
    }

    public function test_pairs_add_up_to_the_pairs_of_all_groups(): void
    {
        for ($seed = 1; $seed <= 50; ++$seed) {
            $chance = new Randomizer(new Xoshiro256StarStar($seed));
            $students = array_map(static fn (int $i): string => "s{$i}", range(1, $chance->getInt(2, 30)));
            $used = [];
            $pairs = 0;
            for ($round = $chance->getInt(1, 10); $round > 0; --$round) {
                $groups = array_chunk($chance->shuffleArray($students), $chance->getInt(1, 6));
                foreach ($groups as $group) {
                    $pairs += intdiv(\count($group) * (\count($group) - 1), 2);
                }
                $used[] = new GroupsUsed($groups, []);
            }
            $term = Term::of($students, [], $used);
            self::assertSame($pairs, array_sum(array_map(array_sum(...), $term->together)));
        }
    }
}
