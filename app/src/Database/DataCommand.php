<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Prints docs/architecture/data.md.
 */
#[AsCommand(
    'huddle:data',
    'Prints every table and the class that writes it, from the entities (docs/architecture/data.md).',
),]
final class DataCommand extends Command
{
    public function __construct(private readonly DataPicture $picture)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->write($this->picture->markdown(), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
