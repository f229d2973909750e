<?php

declare(strict_types=1);

namespace FreshHuddle\App\Demo;

use Doctrine\DBAL\Connection;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Loads the demo data into an empty database.
 */
#[AsCommand('huddle:demo', 'Loads the demo data: the harbour town of Larkmouth and its classes.')]
final class DemoCommand extends Command
{
    public function __construct(private readonly Larkmouth $larkmouth, private readonly Connection $db)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption(
            'if-empty',
            null,
            InputOption::VALUE_NONE,
            'Do nothing if the database already has a teacher.',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (false !== $this->db->fetchOne('SELECT 1 FROM teacher LIMIT 1')) {
            if (true === $input->getOption('if-empty')) {
                return self::SUCCESS;
            }
            $output->writeln('The database already has teachers. The demo needs an empty one (bin/start --fresh).');

            return self::FAILURE;
        }
        $this->larkmouth->load();

        return self::SUCCESS;
    }
}
