<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Worker;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Live\RoundTaskHandler;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\FailedTasks;
use FreshHuddle\App\Worker\Shift;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\App\Worker\WorkCommand;
use FreshHuddle\App\Worker\WorkFailed;
use Psr\Log\NullLogger;
use Symfony\Component\EventDispatcher\EventDispatcherInterface;

/**
 * Work that fails for good is seen, tried again by one press, and repeated by nobody.
 */
final class FailedTaskTest extends AppTestCase
{
    private Json $lesson;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(4, 2);
        // it has a lesson of its own to fail for
        $this->db()->executeStatement("DELETE FROM due_task WHERE kind = 'doorsOpen'");
    }

    public function test_what_failed_for_good_stands_on_the_lessons_page_until_it_is_tried_again(): void
    {
        $failed = $this->failed();
        self::assertSame(
            ['moveOut', 'The meeting service refused the request (403).'],
            [$failed->text('failed.0.kind'), $failed->text('failed.0.failure')],
        );
        $this->ask('POST', $this->at($failed).'/again')->is(204);
        self::assertSame([], $this->look()->list('failed'));
        self::assertSame(
            1,
            $this->db()->fetchOne('SELECT COUNT(*) FROM due_task WHERE kind = ? AND subject = ?', [
                RoundTaskHandler::MOVE_OUT,
                $this->lesson->text('round.id'),
            ]),
        );
        $this->ask('POST', $this->at($failed).'/again')->is(404);
    }

    public function test_it_can_be_let_be_and_failing_again_is_one_and_not_two(): void
    {
        $this->failed();
        $failed = $this->failed();
        self::assertCount(1, $failed->list('failed'));
        $this->ask('DELETE', $this->at($failed))->is(204);
        self::assertSame([], $this->look()->list('failed'));
    }

    public function test_the_lessons_page_is_told_once_it_stands_in_the_list(): void
    {
        $stood = null;
        $events = $this->service(EventDispatcherInterface::class);
        $events->addListener(
            WorkFailed::class,
            function () use (&$stood): void {
                $stood = $this->db()->fetchOne('SELECT COUNT(*) FROM failed_task');
            },
            100,
        );
        $this->failed();
        self::assertSame(1, $stood);
    }

    public function test_another_teacher_neither_sees_it_nor_tries_it(): void
    {
        $failed = $this->failed();
        $this->asTeacher($this->newTeacher('another@larkmouth.example'));
        $this->ask('POST', $this->at($failed).'/again')->is(404);
        $this->ask('DELETE', $this->at($failed))->is(404);
        $this->asTeacher();
        self::assertCount(1, $this->look()->list('failed'));
    }

    public function test_what_nobody_does_any_more_is_let_go(): void
    {
        $this->db()->executeStatement(
            "INSERT INTO due_task (kind, subject, data, due_at) VALUES ('nonsense', 'x', '{}', 0)",
        );
        $this->work();
        self::assertSame(
            0,
            $this->db()->fetchOne("SELECT COUNT(*) FROM due_task WHERE kind = 'nonsense'"),
            'nobody does this any more: it is let go',
        );
    }

    public function test_what_a_killed_worker_held_is_taken_at_once_and_what_a_living_one_holds_is_not(): void
    {
        $tasks = $this->service(Tasks::class);
        $this->db()->executeStatement('DELETE FROM due_task');
        $tasks->schedule('setUp', 'x');
        self::assertNotNull($tasks->claim());
        self::assertNull($tasks->claim(), 'whoever holds it is there');
        $this->db()->executeStatement('UPDATE due_task SET claimed_by = 2147483647'); // no process has this number
        self::assertSame(2, $tasks->claim()?->attempts);
    }

    public function test_what_breaks_is_tried_a_few_times_and_then_listed(): void
    {
        $handler = new class implements TaskHandler {
            public int $times = 0;

            public static function kinds(): array
            {
                return ['breaks'];
            }

            public function classOf(Task $task): ?string
            {
                return null;
            }

            public function handle(Task $task): ?int
            {
                ++$this->times;
                throw new \LogicException('Student A broke it');
            }
        };
        $worker = $this->worker($handler);
        $this->service(Tasks::class)->schedule('breaks', 'x');
        for ($i = 0; $i < 30; ++$i) {
            $this->db()->executeStatement('UPDATE due_task SET due_at = 0');
            $worker->workOnce();
        }
        self::assertSame(10, $handler->times);
        self::assertSame(
            'Something went wrong on our side.',
            $this->db()->fetchOne("SELECT failure FROM failed_task WHERE kind = 'breaks'"),
        );
        self::assertSame(0, $this->db()->fetchOne("SELECT COUNT(*) FROM due_task WHERE kind = 'breaks'"));
    }

    public function test_work_that_broke_in_the_middle_of_a_transaction_leaves_the_next_task_alone(): void
    {
        $em = $this->em();
        $handler = new class($em) implements TaskHandler {
            /** @var list<string> */
            public array $done = [];

            public function __construct(private readonly EntityManagerInterface $em)
            {
            }

            public static function kinds(): array
            {
                return ['half', 'whole'];
            }

            public function classOf(Task $task): ?string
            {
                return null;
            }

            public function handle(Task $task): ?int
            {
                $this->em->wrapInTransaction(function () use ($task): void {
                    'half' === $task->kind
                        ? throw new \DomainException('refused half way') : ($this->done[] = $task->kind);
                });

                return null;
            }
        };
        $worker = $this->worker($handler);
        $this->service(Tasks::class)->schedule('half', 'x', 0);
        $this->service(Tasks::class)->schedule('whole', 'x', 1);
        $this->db()->executeStatement("DELETE FROM due_task WHERE kind NOT IN ('half', 'whole')");
        $worker->workOnce();
        $worker->workOnce();
        self::assertSame(['whole'], $handler->done);
    }

    private function worker(TaskHandler $handler): WorkCommand
    {
        $managers = self::getContainer()->get('doctrine');
        \assert($managers instanceof ManagerRegistry);

        return new WorkCommand(
            [$handler],
            $this->service(Tasks::class),
            $this->service(FailedTasks::class),
            $this->db(),
            $this->service(EntityManagerInterface::class),
            $managers,
            $this->service(Words::class),
            $this->service(Clock::class),
            new NullLogger(),
            $this->service(Shift::class),
        );
    }

    /**
     * @return Json the lesson after moving out has failed for good
     */
    private function failed(): Json
    {
        $this->service(Tasks::class)->schedule(RoundTaskHandler::MOVE_OUT, $this->lesson->text('round.id'));
        $task = $this->service(Tasks::class)->claim();
        self::assertInstanceOf(Task::class, $task);
        $this->service(FailedTasks::class)->add(
            $task,
            $this->lesson->text('classId'),
            'The meeting service refused the request (403).',
        );

        return $this->look();
    }

    private function look(): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    private function at(Json $failed): string
    {
        return '/api/staff/classes/'.$this->lesson->text('classId').'/failed/'.$failed->text('failed.0.id');
    }
}
