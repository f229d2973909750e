<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use FreshHuddle\App\Database\DatabaseAway;
use FreshHuddle\App\Http\LogLine;
use FreshHuddle\App\Worker\Shift;
use Psr\Log\LoggerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
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

    public function __construct(
        private readonly PracticeLeaseStore $leases,
        private readonly PracticeDriver $driver,
        private readonly Connection $db,
        private readonly EntityManagerInterface $em,
        private readonly ManagerRegistry $managers,
        private readonly Shift $shift,
        private readonly LoggerInterface $logger,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        Shift::addOptions($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $this->shift->begin($input);
        while (!$this->shift->isOver()) {
            try {
                $this->driveOnce();
            } catch (\Throwable $e) {
                // Most often the database being restarted.
                $this->logger->warning('Practice waits a moment: {what}', ['what' => LogLine::forError($e)]);
                $this->db->close();
            }
            usleep([] === $this->casts ? self::IDLE : self::PACE);
        }

        return self::SUCCESS;
    }

    /**
     * Has all that is practised go on until now. What breaks in one practice is no matter to the others.
     *
     * @throws \Throwable if the database is away
     */
    public function driveOnce(): void
    {
        $driven = [];
        foreach ($this->leases->claim(array_keys($this->casts)) as $cast) {
            $cast = $this->casts[$cast->id] ?? $cast;
            $this->em->isOpen() ? $this->em->clear() : $this->managers->resetManager();
            try {
                if (!$this->driver->drive($cast)) {
                    continue;
                }
            } catch (\Throwable $e) {
                if (DatabaseAway::says($e)) {
                    throw $e;
                }
                $this->logger->error('Practice broke: {what}', ['what' => LogLine::forError($e)]);
            }
            $driven[$cast->id] = $cast;
        }
        $this->casts = $driven;
    }
}
