<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\ProjectionsCommand;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Signal\Signals;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\Uid\Uuid;

/**
 * The log can replay a lesson to any moment: whatever is pressed, by whomever, what the tables said then is the fold of
 * the events up to then.
 */
final class ReplayTest extends AppTestCase
{
    private const PRESSES = 45;

    #[DataProvider('seeds')]
    public function test_a_lesson_of_any_presses_can_be_replayed_to_any_moment(int $seed): void
    {
        $lesson = $this->readyLesson(6, 2);
        $id = $lesson->text('id');
        $students = array_map(static fn (int $i): string => $lesson->text("students.{$i}.id"), range(0, 5));
        $cookies = [$this->join($lesson, $students[0]), $this->join($lesson, $students[3])];
        $this->setRound($id, ['lookSeconds' => 0, 'autoCallBack' => false]);
        $dice = new Randomizer(new Xoshiro256StarStar($seed));
        /** @var array<int, array{RoundState, Signals, Moves}> $said by the number of the last event */
        $said = [];
        for ($press = 0; $press < self::PRESSES; ++$press) {
            $this->press($lesson, $students, $cookies, $dice);
            $now = $this->said($lesson);
            $said[$this->ask('GET', "/api/staff/lessons/{$id}")->int('seq')] = $now;
        }
        $events = [];
        $replayed = 0;
        foreach ($this->service(EventStore::class)->ofRound($id, $lesson->text('round.id')) as $seq => $event) {
            $events[] = $event;
            if (isset($said[$seq])) {
                ++$replayed;
                self::assertEquals(
                    $said[$seq],
                    [RoundState::after($events), Signals::after($events), Moves::after($events)],
                    "as it was at {$seq}",
                );
            }
        }
        self::assertGreaterThan(10, $replayed);

        self::assertSame(
            $this->seatsNow($lesson),
            $this->seatsReplayed($lesson),
            'seats are those of the run, moved by its events',
        );

        $last = $this->said($lesson);
        $this->db()->executeStatement("UPDATE group_signal SET visits = 9, mark = 'seen'");
        $this->db()->executeStatement('DELETE FROM student_move');
        (new CommandTester($this->service(ProjectionsCommand::class)))->execute(['lesson' => $id]);
        self::assertEquals($last, $this->said($lesson), 'and one command works the tables out again');
    }

    /**
     * @return iterable<string, array{int}>
     */
    public static function seeds(): iterable
    {
        foreach ([1, 2] as $seed) {
            yield "lesson {$seed}" => [$seed];
        }
    }

    /**
     * @return array<string, string> group by student
     */
    private function seatsNow(Json $lesson): array
    {
        return $this->sorted(
            $this->db()->fetchAllKeyValue('SELECT student_id, group_id FROM seat WHERE grouping_id = ?', [
                $lesson->text('floor.id'),
            ]),
        );
    }

    /**
     * @return array<string, string> group by student, from the seats the last run began with and what happened in it
     */
    private function seatsReplayed(Json $lesson): array
    {
        $run = $this->db()->fetchOne('SELECT id FROM run WHERE round_id = ? ORDER BY attempt DESC LIMIT 1', [
            $lesson->text('round.id'),
        ]);
        $seats = $this->db()->fetchAllKeyValue(
            'SELECT s.student_id, g.group_id FROM run_seat s JOIN run_group g ON g.id = s.run_group_id
                WHERE s.run_id = ?',
            [$run],
        );
        $moved = [];
        foreach (
            $this->service(EventStore::class)->ofRound($lesson->text('id'), $lesson->text('round.id')) as $event
        ) {
            if (EventKind::SentOut === $event->kind) {
                $moved = [];
            } elseif (EventKind::SeatsChanged === $event->kind) {
                $moved[$event->text('student')] = $event->text('toGroup');
            }
        }

        return $this->sorted(
            array_filter(array_replace($seats, $moved), static fn (mixed $group): bool => '' !== $group),
        );
    }

    /**
     * @param array<array-key, mixed> $seats
     *
     * @return array<string, string>
     */
    private function sorted(array $seats): array
    {
        $sorted = [];
        foreach ($seats as $student => $group) {
            self::assertIsString($group);
            $sorted[(string) $student] = $group;
        }
        ksort($sorted);

        return $sorted;
    }

    /**
     * @return array{RoundState, Signals, Moves} what the tables say
     */
    private function said(Json $lesson): array
    {
        $round = $this->em()->find(Round::class, $lesson->text('round.id'));
        self::assertNotNull($round);
        $this->em()->refresh($round);

        return [
            $round->state()->state(),
            $this->service(SignalStore::class)->forRound($round->id),
            $this->service(MoveStore::class)->forRound($round->id),
        ];
    }

    /**
     * @param list<string> $students
     * @param list<string> $cookies
     */
    private function press(Json $lesson, array $students, array $cookies, Randomizer $dice): void
    {
        $this->asTeacher();
        $now = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        $groups = array_column($now->list('floor.groups'), 'id');
        $group = $groups[$dice->getInt(0, \count($groups) - 1)];
        $some = \array_slice($students, $dice->getInt(0, 4), $dice->getInt(1, 3));
        $command = match ($dice->getInt(0, 13)) {
            0, 1 => ['kind' => 'sendOut'],
            2 => ['kind' => 'callBack', 'seconds' => $dice->getInt(0, 60)],
            3 => ['kind' => 'keepWorking'],
            4 => ['kind' => 'visit', 'group' => $group],
            5 => ['kind' => 'leave'],
            6 => ['kind' => 'chalk', 'group' => $group, 'mark' => ['seen', 'hurry', null][$dice->getInt(0, 2)]],
            7, 8 => [
                'kind' => 'takeAside',
                'students' => $some,
                'place' => 'main',
                'seconds' => $dice->getInt(0, 30),
            ],
            9 => ['kind' => 'putBack', 'students' => $some],
            10 => ['kind' => 'fetch', 'students' => $some],
            11 => ['kind' => ['pause', 'goOn'][$dice->getInt(0, 1)]],
            12 => null,
            default => ['kind' => 'say', 'text' => 'Two minutes.', 'groups' => [$group]],
        };
        if (null !== $command) {
            $this->ask('POST', '/api/staff/lessons/'.$lesson->text('id').'/commands', $command, [
                'Idempotency-Key' => Uuid::v4()->toRfc4122(),
            ]);
        } elseif (0 === $dice->getInt(0, 1)) {
            $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/edits', [
                'kind' => 'seat',
                'student' => $some[0],
                'group' => $group,
                'basedOn' => $now->int('floor.step'),
            ]);
        } else {
            $this->asStudent($cookies[$dice->getInt(0, 1)]);
            $this->ask('PUT', '/api/student/call', ['about' => ['stuck', 'done', null][$dice->getInt(0, 2)]]);
            $this->asTeacher();
        }
    }
}
