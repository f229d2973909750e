<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Debrief;

use FreshHuddle\App\Tests\Support\Json;

/**
 * Sums over all groups: for the teacher at any time, for everybody when they are shown.
 *
 * @phpstan-type Tally array{item: string, under: string, count: int}
 * @phpstan-type Who list<array{name: string}>
 * @phpstan-type Tallies list<Tally>
 * @phpstan-type Sum array{shape: string, answered: int, all: int, right: int, of: int, tallies: Tallies, sources: Who}
 */
final class SumTest extends DebriefTestCase
{
    /** @var list<string> */
    private array $tokens;
    private string $round;
    private string $original;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        $this->id = $this->lesson->text('id');
        $this->round = $this->lesson->text('round.id');
        $this->ask(
            'POST',
            "/api/staff/rounds/{$this->round}/originals",
            self::original('Measures', [
                [
                    'id' => 'measures',
                    'kind' => 'sort',
                    'text' => 'Sort the measures',
                    'settings' => [
                        'items' => [
                            ['id' => 'wall', 'text' => 'A higher wall', 'under' => 'stops'],
                            ['id' => 'trees', 'text' => 'Trees', 'under' => 'slows'],
                        ],
                        'heads' => [['id' => 'stops', 'text' => 'Stops'], ['id' => 'slows', 'text' => 'Slows']],
                    ],
                ],
                [
                    'id' => 'vote',
                    'kind' => 'choose',
                    'text' => 'Build it?',
                    'settings' => ['items' => [['id' => 'yes', 'text' => 'Yes'], ['id' => 'no', 'text' => 'No']]],
                ],
            ]),
        )->is(200);
        $this->ask('POST', "/api/staff/rounds/{$this->round}/copies")->is(200);
        foreach ([0, 1, 2, 3, 4, 5] as $i) {
            $this->tokens[] = $this->join($this->lesson, $this->lesson->text("students.{$i}.id"));
        }
        $this->setRound($this->id, ['lookSeconds' => 0]);
        $this->command($this->id, 'sendOut')->is(200);
        $original = $this->db()->fetchOne("SELECT id FROM original WHERE title = 'Measures'");
        self::assertIsString($original);
        $this->original = $original;
    }

    public function test_each_place_has_one_sum_over_all_groups_while_they_still_work(): void
    {
        $this->sort($this->groupToken(0), ['wall' => 'stops', 'trees' => 'slows']);
        $this->sort($this->groupToken(1), ['wall' => 'slows']);
        $sum = $this->sum('measures');
        self::assertSame('cards', $sum['shape']);
        self::assertSame([2, 2], [$sum['answered'], $sum['all']]);
        self::assertSame(
            ['wall stops 1', 'wall slows 1', 'trees slows 1'],
            array_map(static fn (array $t): string => "{$t['item']} {$t['under']} {$t['count']}", $sum['tallies']),
        );
        self::assertSame([2, 4], [$sum['right'], $sum['of']], 'one of two of each group, over all');
    }

    public function test_where_everybody_answers_alone_students_are_counted(): void
    {
        $this->choose(0, 'yes');
        $this->choose(1, 'no');
        $this->choose(2, 'no');
        $sum = $this->sum('vote');
        self::assertSame([3, 6], [$sum['answered'], $sum['all']]);
        self::assertSame([1, 2], array_column($sum['tallies'], 'count'));
        self::assertContains($this->lesson->text('students.0.name'), array_column($sum['sources'], 'name'));
    }

    public function test_shown_to_everybody_it_says_how_many_and_not_who_until_names_are_wanted(): void
    {
        $this->choose(0, 'yes');
        $this->sort($this->groupToken(0), ['wall' => 'stops']);
        $this->show('vote');
        $seen = $this->seen();
        self::assertSame(1, $seen->int('shown.pieces.0.sum.tallies.0.count'));
        self::assertSame([], $seen->list('shown.pieces.0.sum.sources'));
        self::assertSame([], $seen->list('shown.pieces.0.sum.tallies.0.sources'));
        $this->debrief('PATCH', '/shown', ['names' => true])->is(200);
        self::assertCount(6, $this->seen()->list('shown.pieces.0.sum.sources'));
        $this->debrief('DELETE', '/shown')->is(200);
        self::assertNull($this->seen()->at('shown'));
    }

    public function test_what_is_right_is_shown_on_request(): void
    {
        $this->sort($this->groupToken(0), ['wall' => 'slows']);
        $this->show('measures');
        $seen = $this->seen();
        self::assertStringNotContainsString('"right":true', $seen->raw);
        self::assertStringNotContainsString('"under":"stops"', $seen->raw, 'where nobody has put it');
        self::assertSame(0, $seen->int('shown.pieces.0.sum.of'));
        $this->debrief('PATCH', '/shown', ['right' => true])->is(200);
        $seen = $this->seen();
        self::assertSame([0, 2], [$seen->int('shown.pieces.0.sum.right'), $seen->int('shown.pieces.0.sum.of')]);
        self::assertStringContainsString('"under":"stops"', $seen->raw);
    }

    public function test_it_follows_what_is_written(): void
    {
        $this->show('vote');
        $this->choose(3, 'no');
        self::assertSame(1, $this->seen()->int('shown.pieces.0.sum.tallies.1.count'));
        $revision = $this->seen()->int('revision');
        sleep(1);
        $this->work();
        self::assertGreaterThan($revision, $this->seen()->int('revision'));
    }

    public function test_all_sums_are_a_table_for_other_programs(): void
    {
        $this->choose(0, 'yes');
        $csv = $this->ask('GET', "/api/staff/rounds/{$this->round}/sums.csv")->is(200)->raw;
        self::assertStringContainsString('Build it?', $csv);
        self::assertStringContainsString($this->lesson->text('students.0.name'), $csv);
    }

    public function test_nothing_to_sum_up_is_refused(): void
    {
        $this->ask('POST', "/api/staff/lessons/{$this->id}/debrief/shown/sum", [
            'round' => $this->round,
            'original' => $this->original,
            'slot' => 'nowhere',
        ])->is(422);
    }

    /**
     * @param array<string, string> $cards headings by card
     */
    private function sort(string $token, array $cards): void
    {
        $things = [];
        foreach ($cards as $card => $head) {
            $things[$card] = ['place' => 1, 'under' => $head];
        }
        $this->write($token, $this->copy($token), 'measures', json_encode($things, \JSON_THROW_ON_ERROR));
    }

    private function choose(int $student, string $option): void
    {
        $token = $this->tokens[$student];
        $this->write($token, $this->copy($token), 'vote', json_encode([$option => true], \JSON_THROW_ON_ERROR));
    }

    private function show(string $slot): void
    {
        $this->ask('POST', "/api/staff/lessons/{$this->id}/debrief/shown/sum", [
            'round' => $this->round,
            'original' => $this->original,
            'slot' => $slot,
        ])->is(200);
    }

    private function seen(): Json
    {
        $this->asStudent($this->tokens[5]);
        $seen = $this->ask('GET', '/api/student/debrief')->is(200);
        $this->asTeacher();

        return $seen;
    }

    /**
     * @return Sum
     */
    private function sum(string $slot): array
    {
        foreach ($this->ask('GET', "/api/staff/rounds/{$this->round}/sums")->is(200)->list('') as $sum) {
            if (\is_array($sum) && \is_array($sum['block']) && $sum['block']['id'] === $slot) {
                /** @var Sum $sum */
                return $sum;
            }
        }
        self::fail('no such sum');
    }

    /** Somebody of a group. */
    private function groupToken(int $group): string
    {
        foreach ([0, 1, 2, 3, 4, 5] as $i) {
            if (\in_array(
                $this->lesson->text("students.{$i}.id"),
                $this->lesson->texts("floor.groups.{$group}.students"),
                true,
            )) {
                return $this->tokens[$i];
            }
        }
        self::fail('no such group');
    }

    private function copy(string $token): string
    {
        $this->asStudent($token);
        foreach ($this->ask('GET', '/api/student/now')->list('group.copies') as $copy) {
            if (\is_array($copy) && 'Measures' === $copy['title'] && \is_string($copy['id'])) {
                return $copy['id'];
            }
        }
        self::fail('no such copy');
    }
}
