<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\DatabaseAway;
use FreshHuddle\App\Http\LogLine;
use FreshHuddle\App\Words\Words;
use Psr\Log\LoggerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * A worker: does what is due, one task after the other.
 */
#[AsCommand(
    'huddle:work',
    'Runs background tasks: rooms, moves, whereabouts, time limits. Run as many workers as you like.',
),]
final class WorkCommand extends Command
{
    private const PAUSE = 150_000;
    /** Nothing is tried without end. */
    private const MOST_TRIES = 10;

    /** @var array<string, TaskHandler> */
    private array $handlers = [];

    /**
     * @param iterable<TaskHandler> $handlers
     */
    public function __construct(
        #[AutowireIterator(TaskHandler::class)]
        iterable $handlers,
        private readonly Tasks $tasks,
        private readonly FailedTasks $failed,
        private readonly Connection $db,
        private readonly EntityManagerInterface $em,
        private readonly ManagerRegistry $managers,
        private readonly Words $words,
        private readonly Clock $clock,
        private readonly LoggerInterface $logger,
        private readonly Shift $shift,
    ) {
        parent::__construct();
        foreach ($handlers as $handler) {
            foreach ($handler::kinds() as $kind) {
                $this->handlers[$kind] = $handler;
            }
        }
    }

    protected function configure(): void
    {
        Shift::addOptions($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $this->shift->begin($input);
        $planned = false;
        while (!$this->shift->isOver()) {
            try {
                if (!$planned) {
                    $this->tasks->scheduleOnce(PurgeTaskHandler::TIDY, 'all');
                    $planned = true;
                }
                if (!$this->workOnce()) {
                    usleep(self::PAUSE);
                }
            } catch (\Throwable $e) {
                // Most often the database being restarted. What was claimed comes free again by itself.
                $this->logger->warning('The worker waits a moment: {what}', ['what' => LogLine::forError($e)]);
                $this->db->close();
                usleep(500_000);
            }
        }

        return self::SUCCESS;
    }

    /**
     * @return bool whether there was anything to do
     */
    public function workOnce(): bool
    {
        $task = $this->tasks->claim();
        if (null === $task) {
            return false;
        }
        // Work that ended in the middle of a transaction leaves a manager that is closed: the next begins with another.
        $this->em->isOpen() ? $this->em->clear() : $this->managers->resetManager();
        $handler = $this->handlers[$task->kind] ?? null;
        try {
            $again = $handler?->handle($task);
            null === $again ? $this->tasks->done($task) : $this->tasks->again($task, $again);
        } catch (TryAgain $e) {
            if ($task->attempts < self::MOST_TRIES) {
                $this->tasks->again($task, $this->clock->ms() + $e->inMilliseconds, $this->words->say($e->says));
            } else {
                $this->failed->add($task, self::classOf($handler, $task), $this->words->say($e->says));
            }
        } catch (GaveUp $e) {
            $this->failed->add($task, self::classOf($handler, $task), $this->words->say($e->says));
        } catch (\Throwable $e) {
            if (DatabaseAway::says($e)) {
                throw $e; // nothing can be noted; the claim runs out by itself
            }
            $this->logger->error('{kind} broke: {what}', ['kind' => $task->kind, 'what' => LogLine::forError($e)]);
            $this->em->isOpen() ? $this->em->clear() : $this->managers->resetManager();
            if ($task->attempts < self::MOST_TRIES) {
                $this->tasks->again(
                    $task,
                    $this->clock->ms() + 500 * 2 ** $task->attempts,
                    'Something went wrong on our side.',
                );
            } else {
                $this->failed->add($task, self::classOf($handler, $task), 'Something went wrong on our side.');
            }
        }

        return true;
    }

    /**
     * What broke the work may break this question too; then nobody's teacher hears of it, and the log does.
     */
    private static function classOf(?TaskHandler $handler, Task $task): ?string
    {
        try {
            return $handler?->classOf($task);
        } catch (\Throwable) {
            return null;
        }
    }
}
