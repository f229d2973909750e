<?php

declare(strict_types=1);

namespace FreshHuddle\App\Areas;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Prints docs/architecture/areas.md.
 */
#[AsCommand('huddle:areas', 'Draws the areas and which uses which, from the code (docs/architecture/areas.md).')]
final class AreasCommand extends Command
{
    public function __construct(private readonly AreaPicture $picture)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->write($this->picture->markdown(), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
