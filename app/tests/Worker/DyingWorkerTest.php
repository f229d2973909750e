<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Worker;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Death;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/**
 * A worker may die between any two steps of any work. Whoever goes on from there ends where it would have ended:
 * nothing is lost and nothing doubled.
 */
final class DyingWorkerTest extends AppTestCase
{
    use ClockSensitiveTrait;

    private Json $lesson;

    /**
     * @return iterable<string, array{string}>
     */
    public static function works(): iterable
    {
        yield 'rooms are made' => ['rooms'];
        yield 'a room gets other members' => ['members'];
        yield 'a class is sent out and moved' => ['out'];
        yield 'groups are called back by themselves' => ['autoCall'];
        yield 'a notice is said in rooms' => ['say'];
        yield 'a sign-up closes and the rest is seated' => ['signUp'];
        yield 'an invitation is mailed' => ['mail'];
    }

    #[DataProvider('works')]
    public function test_who_goes_on_ends_where_it_would_have_ended(string $work): void
    {
        self::mockTime();
        $this->lesson = $this->readyLesson(6, 2);
        if (!\in_array($work, ['rooms', 'signUp', 'mail'], true)) {
            $this->ask('POST', '/api/staff/rounds/'.$this->lesson->text('round.id').'/rooms', [])->is(200);
            $this->work();
        }
        $this->cause($work);
        $this->db()->executeStatement("DELETE FROM due_task WHERE kind = 'tidy'");
        self::assertNotSame(0, $this->db()->fetchOne('SELECT COUNT(*) FROM due_task'), 'there is work');

        $undisturbed = $this->tried(fn (): bool => $this->goOn());
        $deaths = 0;
        for ($steps = 0; $steps < 400; ++$steps) {
            $died = false;
            $after = $this->tried(function () use ($steps, &$died): void {
                $died = Death::after($steps, fn (): bool => $this->goOn());
                self::mockTime('+5 minutes'); // what it had claimed comes free
                $this->goOn();
                self::mockTime('-5 minutes');
            });
            self::assertSame($undisturbed, $after, "dead after {$steps} steps");
            if (!$died) {
                break;
            }
            ++$deaths;
        }
        self::assertGreaterThan(3, $deaths);
        self::assertLessThan(400, $deaths, 'in the end it lives');
    }

    private function cause(string $work): void
    {
        $lesson = $this->lesson->text('id');
        $grouping = $this->lesson->text('floor.id');
        $seat = [
            'student' => $this->lesson->text('floor.groups.0.students.0'),
            'other' => $this->lesson->text('floor.groups.1.students.0'),
            'basedOn' => $this->lesson->int('floor.step'),
        ];
        $presses = match ($work) {
            'rooms' => [['/api/staff/rounds/'.$this->lesson->text('round.id').'/rooms', []]],
            'members' => [["/api/staff/groupings/{$grouping}/edits", ['kind' => 'swap', ...$seat]]],
            'signUp' => [
                ["/api/staff/groupings/{$grouping}/edits", ['kind' => 'shelve', ...$seat]],
                ["/api/staff/groupings/{$grouping}/sign-up", ['seats' => 4, 'minutes' => 1]],
            ],
            'mail' => [
                [
                    '/api/staff/classes/'.$this->lesson->text('classId').'/staff',
                    ['email' => 'otto@larkmouth.example'],
                ],
            ],
            default => [],
        };
        foreach ($presses as [$path, $body]) {
            $this->ask('POST', $path, $body)->is(200);
        }
        if ([] === $presses) {
            $this->command($lesson, 'sendOut')->is(200);
        }
        if ('say' === $work) {
            $this->command($lesson, 'say', text: 'Five minutes left.')->is(200);
        }
        self::mockTime(
            match ($work) {
                'autoCall' => '+3 hours',
                'signUp' => '+2 minutes',
                default => '+30 seconds',
            },
        );
    }

    private function goOn(): bool
    {
        $this->work();

        return true;
    }

    /**
     * @param callable(): mixed $do
     *
     * @return array<string, mixed> what stands afterwards, before all of it is undone
     */
    private function tried(callable $do): array
    {
        $db = $this->db();
        $db->beginTransaction();
        try {
            $do();

            return $this->standing();
        } finally {
            $db->rollBack();
            $this->em()->clear();
        }
    }

    /**
     * @return array<string, mixed> all that was shown as done, without what differs from try to try
     */
    private function standing(): array
    {
        $all = [
            'rooms' => 'SELECT group_id, state, failure, external_id IS NOT NULL AS made FROM room ORDER BY group_id',
            'links' => 'SELECT r.group_id, m.student_id FROM room_member m JOIN room r ON r.id = m.room_id
                ORDER BY 1, 2',
            'seats' => 'SELECT COUNT(*) AS seated, COUNT(DISTINCT student_id) AS students FROM seat',
            'sign-ups' => 'SELECT ended_at IS NULL AS open FROM sign_up',
            'events' => 'SELECT seq, kind FROM live_event ORDER BY seq',
            'runs' => 'SELECT attempt, ended_at IS NULL AS open FROM run ORDER BY id',
            'left to do' => "SELECT kind, subject FROM due_task WHERE kind <> 'watch' ORDER BY kind, subject",
            'failed' => 'SELECT kind FROM failed_task',
            'invited' => 'SELECT email FROM class_invitation',
        ];

        return array_map(fn (string $sql): array => $this->db()->fetchAllAssociative($sql), $all);
    }
}
