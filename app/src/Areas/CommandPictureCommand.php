<?php

declare(strict_types=1);

namespace FreshHuddle\App\Areas;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Prints docs/architecture/live-command.md.
 */
#[AsCommand('huddle:live-command', 'Draws the way of a live command, from the code (docs/architecture/live-command.md).')]
final class CommandPictureCommand extends Command
{
    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->write((new CommandPicture())->markdown(), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
