<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Live\Notice\NoticeTaskHandler;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Worker\Task;
use Symfony\Component\Uid\Uuid;

/**
 * Notices at set times, and who has seen one.
 */
final class NoticeTest extends AppTestCase
{
    private Json $lesson;
    private string $member;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        $this->member = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
    }

    public function test_a_prepared_notice_is_said_at_its_time_once_and_to_everybody(): void
    {
        $this->prepare([['beforeEnd' => true, 'seconds' => 120, 'text' => '  Two minutes.   One sentence. ']]);
        self::assertNull($this->again()->at('round.notices.0.dueAt'), 'nobody is out yet');
        self::assertNull($this->due());
        $this->give('sendOut');
        $ends = $this->again()->int('round.moments.endsAt');
        self::assertSame(
            [$ends - 120_000, $ends - 120_000],
            [$this->due(), $this->again()->int('round.notices.0.dueAt')],
        );
        $this->workIt();
        $this->workIt();
        self::assertSame(
            ['Two minutes. One sentence.'],
            array_column($this->page()->list('notices'), 'text'),
            'once, whoever does it twice',
        );
    }

    public function test_it_follows_an_end_that_is_moved_and_waits_while_the_clock_stands_still(): void
    {
        $this->prepare([['beforeEnd' => true, 'seconds' => 60, 'text' => 'One minute.']]);
        $this->give('sendOut');
        $ends = $this->again()->int('round.moments.endsAt') + 300_000;
        $this->give('changeEnd', ['endsAt' => $ends]);
        self::assertSame($ends - 60_000, $this->due());
        $this->give('pause');
        self::assertNull($this->due());
        $this->give('goOn');
        self::assertGreaterThanOrEqual($ends - 60_000, $this->due());
        $this->give('callBack', ['seconds' => 0]);
        self::assertNull($this->due());
        $this->workIt();
        self::assertSame([], $this->page()->list('notices'), 'whoever is back is not hurried');
    }

    public function test_it_is_put_off_while_they_are_out_and_left_out_again(): void
    {
        $this->give('sendOut');
        $this->prepare([['beforeEnd' => false, 'seconds' => 600, 'text' => 'Half of it is over.']]);
        self::assertSame($this->again()->int('round.moments.outAt') + 600_000, $this->due());
        $this->prepare([]);
        self::assertSame([], $this->again()->list('round.notices'));
        $this->workIt();
        self::assertSame([], $this->page()->list('notices'));
    }

    public function test_the_next_lesson_has_them_too(): void
    {
        $this->prepare([['beforeEnd' => true, 'seconds' => 120, 'text' => 'Two minutes.']]);
        $next = $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/lessons', [
            'title' => 'Once more',
            'minutes' => 50,
            'from' => $this->lesson->text('id'),
        ])->is(200);
        self::assertSame(['Two minutes.'], array_column($next->list('round.notices'), 'text'));
    }

    public function test_nonsense_is_refused_at_its_field(): void
    {
        foreach (
            [['seconds' => -1], ['seconds' => 36_001], ['text' => ' '], ['text' => str_repeat('x', 281)]] as $wrong
        ) {
            $answer = $this->ask('PATCH', '/api/staff/segments/'.$this->lesson->text('round.segmentId'), [
                'notices' => [$wrong + ['beforeEnd' => true, 'seconds' => 60, 'text' => 'One minute.']],
            ])->is(422);
            self::assertSame('notices[0].'.array_key_first($wrong), $answer->text('errors.0.field'));
        }
        $many = array_fill(0, 13, ['beforeEnd' => true, 'seconds' => 60, 'text' => 'One minute.']);
        $this->ask('PATCH', '/api/staff/segments/'.$this->lesson->text('round.segmentId'), [
            'notices' => $many,
        ])->is(422);
    }

    public function test_who_has_seen_a_notice_is_known_and_nobody_has_seen_what_was_not_for_them(): void
    {
        $this->give('sendOut');
        $this->give('say', ['text' => 'To all.']);
        $this->give('say', ['text' => 'To the others.', 'groups' => [$this->lesson->text('floor.groups.1.id')]]);
        [$theirs, $all] = array_column($this->again()->list('notices'), 'seq');
        \assert(\is_int($theirs) && \is_int($all));
        $this->asStudent($this->member);
        foreach ([$all, $all, $theirs, 999_999] as $seq) {
            $this->ask('POST', "/api/student/notices/{$seq}/seen")->is(204);
        }
        $this->asTeacher();
        self::assertSame([0, 1], array_column($this->again()->list('notices'), 'seen'));
        self::assertSame(
            [$this->lesson->text('floor.groups.0.students.0')],
            $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id')."/notices/{$all}")
                ->is(200)
                ->at(''),
        );
        self::assertSame(
            1,
            $this->db()->fetchOne("SELECT COUNT(*) FROM due_task WHERE kind = 'noticesSeen'"),
            'staff are told of many at once',
        );
    }

    /**
     * @param list<array<string, mixed>> $notices
     */
    private function prepare(array $notices): void
    {
        $this->asTeacher();
        $this->ask('PATCH', '/api/staff/segments/'.$this->lesson->text('round.segmentId'), [
            'lookSeconds' => 0,
            'autoCallBack' => false,
            'notices' => $notices,
        ])->is(200);
    }

    private function due(): ?int
    {
        $due = $this->db()->fetchOne("SELECT due_at FROM due_task WHERE kind = 'preparedNotice'");

        return \is_int($due) ? $due : null;
    }

    private function workIt(): void
    {
        foreach ($this->db()->fetchFirstColumn('SELECT id FROM prepared_notice') as $id) {
            \assert(\is_string($id));
            $this->service(NoticeTaskHandler::class)->handle(new Task(1, NoticeTaskHandler::PREPARED, $id, [], 1, 0));
        }
    }

    /**
     * @param array<string, mixed> $more
     */
    private function give(string $kind, array $more = []): void
    {
        $this->asTeacher();
        $this->ask(
            'POST',
            '/api/staff/lessons/'.$this->lesson->text('id').'/commands',
            ['kind' => $kind] + $more,
            ['Idempotency-Key' => Uuid::v4()->toRfc4122()],
        )->is(200);
    }

    private function again(): Json
    {
        $this->asTeacher();

        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    private function page(): Json
    {
        $this->asStudent($this->member);
        $page = $this->ask('GET', '/api/student/now')->is(200);
        $this->asTeacher();

        return $page;
    }
}
