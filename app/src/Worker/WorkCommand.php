<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\DatabaseAway;
use FreshHuddle\App\Database\Niceness;
use FreshHuddle\App\Http\LogLine;
use FreshHuddle\App\Words\Words;
use Psr\Log\LoggerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
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

    private bool $stop = false;

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
        private readonly Niceness $niceness,
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
        $this->addOption(
            'minutes',
            null,
            InputOption::VALUE_REQUIRED,
            'Exit after this many minutes; the supervisor starts a new worker.',
            '60',
        )->addOption(
            'niceness',
            null,
            InputOption::VALUE_REQUIRED,
            'How far it gives way to other processes, 0 to 19.',
            '0',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $niceness = $input->getOption('niceness');
        if (is_numeric($niceness) && $niceness > 0) {
            $this->niceness->set((int) $niceness);
        }
        $minutes = $input->getOption('minutes');
        $until = $this->clock->ms() + 60_000 * (is_numeric($minutes) ? (int) $minutes : 60);
        pcntl_async_signals(true);
        foreach ([\SIGTERM, \SIGINT] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->stop = true;
            });
        }
        $planned = false;
        while (!$this->stop && $this->clock->ms() < $until) {
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
