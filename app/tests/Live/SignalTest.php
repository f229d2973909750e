<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\ProjectionsCommand;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\Core\Live\Signal\Signals;
use Symfony\Component\Console\Tester\CommandTester;

/**
 * Calls, visits and chalk marks through the real application: who is shown what, and that the tables say what the
 * events say.
 */
final class SignalTest extends AppTestCase
{
    private Json $lesson;

    /** @var array<int, string> a member's cookie by group */
    private array $member = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        foreach ([0, 1] as $i) {
            $this->member[$i] = $this->join($this->lesson, $this->lesson->text("floor.groups.{$i}.students.0"));
        }
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->give('sendOut');
    }

    public function test_a_group_calls_and_knows_that_it_is_known_and_its_place(): void
    {
        self::assertSame(1, $this->call(0, 'stuck')->int('group.signal.place'));
        self::assertSame(2, $this->call(1, 'question')->int('group.signal.place'));
        self::assertSame(
            1,
            $this->call(0, 'done')->int('group.signal.place'),
            'pressed again it keeps its place, and what it called for',
        );
        $lesson = $this->again();
        self::assertSame(
            ['stuck', $this->lesson->text('floor.groups.0.students.0')],
            [$lesson->text('signals.0.call.about'), $lesson->text('signals.0.call.by')],
        );
        self::assertSame([[$this->group(0), 'called'], [$this->group(1), 'called']], $this->visits());
        self::assertFalse($this->page(0)->at('group.signal.seen'));
        $this->give('seeCall', $this->group(0));
        self::assertTrue($this->page(0)->at('group.signal.seen'));
        self::assertFalse($this->page(1)->at('group.signal.seen'), 'nothing of it on another group’s page');
        $this->give('visit', $this->group(0));
        self::assertNull($this->page(0)->at('group.signal.about'), 'whoever comes has answered');
        self::assertTrue($this->page(0)->at('group.signal.visited'));
        self::assertSame(1, $this->page(1)->int('group.signal.place'));
        $this->asStudent($this->member[1]);
        self::assertNull(
            $this->ask('PUT', '/api/student/call', ['about' => null])
                ->is(200)
                ->at('group.signal.about'),
        );
    }

    public function test_who_goes_round_is_in_one_place_and_everybody_is_visited_once_first(): void
    {
        $this->give('visit', $this->group(1));
        self::assertSame([[$this->group(0), 'missing']], $this->visits());
        self::assertSame('Ines Halvorsen', $this->again()->text('signals.1.name'));
        $this->give('visit', $this->group(0));
        self::assertNull($this->again()->at('signals.1.visitor'));
        $this->give('leave');
        $this->give('leave');
        self::assertSame([1, 1], [$this->again()->int('signals.0.visits'), $this->again()->int('signals.1.visits')]);
    }

    public function test_a_chalk_mark_is_seen_at_its_table_alone(): void
    {
        $this->give('chalk', $this->group(0), 'wellDone');
        self::assertSame('wellDone', $this->page(0)->text('group.signal.mark'));
        self::assertNull($this->page(1)->at('group.signal.mark'));
        $this->give('chalk', $this->group(0));
        self::assertNull($this->page(0)->at('group.signal.mark'));
        $this->command($this->lesson->text('id'), 'chalk')->is(422);
    }

    public function test_a_notice_to_one_group_is_read_by_its_members_and_by_nobody_else(): void
    {
        $say = fn (string $text, ?string $group): Json => $this->ask(
            'POST',
            '/api/staff/lessons/'.$this->lesson->text('id').'/commands',
            ['kind' => 'say', 'text' => $text, 'groups' => null === $group ? [] : [$group]],
            ['Idempotency-Key' => bin2hex(random_bytes(8))],
        );
        $say('Two minutes.', null)->is(200);
        $say('Look at the map again.', $this->group(0))->is(200);
        $say('To nobody.', '0197c1a0-0000-7000-8000-00000000ffff')->is(422);
        self::assertSame(
            ['Look at the map again.', 'Two minutes.'],
            array_column($this->page(0)->list('notices'), 'text'),
        );
        self::assertSame(['Two minutes.'], array_column($this->page(1)->list('notices'), 'text'));
        self::assertStringNotContainsString('map', $this->page(1)->raw);
        self::assertSame([[$this->group(0)], []], array_column($this->again()->list('notices'), 'groups'));

        // Who leaves the group keeps it, and who comes to it has not been told.
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'kind' => 'swap',
            'student' => $this->lesson->text('floor.groups.0.students.0'),
            'other' => $this->lesson->text('floor.groups.1.students.0'),
            'basedOn' => $this->again()->int('floor.step'),
        ])->is(200);
        self::assertCount(2, $this->page(0)->list('notices'));
        self::assertCount(1, $this->page(1)->list('notices'));
        self::assertSame(
            2,
            $this->db()->fetchOne("SELECT COUNT(*) FROM due_task WHERE kind = 'say'"),
            'each is said in rooms, also if another follows at once',
        );
    }

    public function test_what_a_group_has_filled_and_who_is_silent_is_known(): void
    {
        $copy = $this->lesson->text('copies.0.id');
        $writer = $this->lesson->text('floor.groups.0.students.0');
        $this->asStudent($this->member[0]);
        $this->ask('PUT', "/api/student/copies/{$copy}/slots/decision", [
            'save' => '0197c1a0-0000-7000-8000-000000000001',
            'base' => '',
            'text' => 'We build it here.',
        ])->is(200);
        $this->asTeacher();
        $signal = $this->again();
        self::assertSame(
            [1, 4],
            [$signal->int('signals.0.filled'), $signal->int('signals.0.slots')],
            'one together, and one of each of three',
        );
        self::assertNotContains($writer, $signal->texts('signals.0.silent'));
        self::assertSame(0, $signal->int('signals.1.filled'));
    }

    public function test_nobody_calls_while_nobody_is_out_and_the_call_back_ends_all_of_it(): void
    {
        $this->call(0, 'stuck');
        $this->give('visit', $this->group(1));
        $this->ask(
            'POST',
            '/api/staff/lessons/'.$this->lesson->text('id').'/commands',
            ['kind' => 'callBack', 'seconds' => 0],
            ['Idempotency-Key' => 'the-call-back'],
        )->is(200);
        self::assertSame([], $this->again()->list('signals'));
        $this->asStudent($this->member[0]);
        $this->ask('PUT', '/api/student/call', ['about' => 'stuck'])->is(422);
        $this->ask('PUT', '/api/student/call', ['about' => '<script>'])->is(422);
        $this->asTeacher();
        self::assertNull(
            $this->service(SignalStore::class)->forRound($this->lesson->text('round.id'))->forGroup($this->group(0))->call,
        );
    }

    public function test_the_tables_say_what_the_events_say_and_one_command_works_it_out_again(): void
    {
        $this->call(0, 'look');
        $this->give('seeCall', $this->group(0));
        $this->give('chalk', $this->group(1), 'hurry');
        $this->give('visit', $this->group(1));
        $this->give('visit', $this->group(0));
        $this->call(1, 'trouble');
        $round = $this->lesson->text('round.id');
        $kept = $this->service(SignalStore::class)->forRound($round);
        self::assertEquals(
            $kept,
            Signals::after($this->service(EventStore::class)->ofRound($this->lesson->text('id'), $round)),
        );
        $this->db()->executeStatement("UPDATE group_signal SET visits = 9, mark = 'seen', called_by = NULL");
        (new CommandTester($this->service(ProjectionsCommand::class)))->execute([
            'lesson' => $this->lesson->text('id'),
        ]);
        self::assertEquals($kept, $this->service(SignalStore::class)->forRound($round));
    }

    public function test_calls_of_one_group_make_no_other_page_look_again(): void
    {
        $before = $this->page(1)->int('seq');
        $this->call(0, 'stuck');
        $this->give('visit', $this->group(0));
        self::assertSame($before, $this->page(1)->int('seq'));
    }

    private function call(int $group, string $about): Json
    {
        $this->asStudent($this->member[$group]);
        $answer = $this->ask('PUT', '/api/student/call', ['about' => $about])->is(200);
        $this->asTeacher();

        return $answer;
    }

    private function page(int $group): Json
    {
        $this->asStudent($this->member[$group]);
        $answer = $this->ask('GET', '/api/student/now')->is(200);
        $this->asTeacher();

        return $answer;
    }

    private function give(string $kind, ?string $group = null, ?string $mark = null): void
    {
        $this->ask(
            'POST',
            '/api/staff/lessons/'.$this->lesson->text('id').'/commands',
            ['kind' => $kind, 'group' => $group, 'mark' => $mark],
            ['Idempotency-Key' => bin2hex(random_bytes(8))],
        )->is(200);
    }

    private function again(): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    private function group(int $i): string
    {
        return $this->lesson->text("floor.groups.{$i}.id");
    }

    /**
     * @return list<array{string, string}>
     */
    private function visits(): array
    {
        $lesson = $this->again();

        return array_map(
            static fn (int $i): array => [$lesson->text("visits.{$i}.groupId"), $lesson->text("visits.{$i}.reason")],
            array_keys($lesson->list('visits')),
        );
    }
}
