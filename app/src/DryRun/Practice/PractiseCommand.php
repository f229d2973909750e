<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use Doctrine\DBAL\Connection;
use Doctrine\Persistence\ManagerRegistry;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Http\LogLine;
use Psr\Log\LoggerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Drives the simulated students of all lessons that are being practised.
 */
#[AsCommand(
    'huddle:practise',
    'Drives simulated students in lessons that are being practised. Several processes share the work.',
),]
final class PractiseCommand extends Command
{
    /** Microseconds between two looks while something is practised, and while nothing is. */
    private const PACE = 500_000;
    private const IDLE = 1_500_000;

    /** @var array<string, Cast> */
    private array $casts = [];
    private bool $stop = false;

    public function __construct(
        private readonly PracticeLeaseStore $leases,
        private readonly PracticeDriver $driver,
        private readonly Connection $db,
        private readonly ManagerRegistry $managers,
        private readonly Clock $clock,
        private readonly LoggerInterface $logger,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption(
            'minutes',
            null,
            InputOption::VALUE_REQUIRED,
            'Exit after this many minutes; the supervisor starts another.',
            '60',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $minutes = $input->getOption('minutes');
        $until = $this->clock->ms() + 60_000 * (is_numeric($minutes) ? (int) $minutes : 60);
        pcntl_async_signals(true);
        foreach ([\SIGTERM, \SIGINT] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->stop = true;
            });
        }
        while (!$this->stop && ($this->clock->ms() < $until || [] !== $this->casts)) {
            try {
                $this->driveOnce();
            } catch (\Throwable $e) {
                // Most often the database being restarted.
                $this->logger->warning('Practice waits a moment: {what}', ['what' => LogLine::forError($e)]);
                $this->managers->resetManager();
                $this->db->close();
            }
            usleep([] === $this->casts ? self::IDLE : self::PACE);
        }

        return self::SUCCESS;
    }

    /**
     * Has all that is practised go on until now.
     */
    public function driveOnce(): void
    {
        $driven = [];
        foreach ($this->leases->claim(array_keys($this->casts)) as $cast) {
            $cast = $this->casts[$cast->id] ?? $cast;
            if ($this->driver->drive($cast)) {
                $driven[$cast->id] = $cast;
            }
        }
        $this->casts = $driven;
        $this->managers->getManager()->clear();
    }
}
