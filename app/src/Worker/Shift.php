<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Niceness;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

/**
 * How long a background process works: until it is told to stop, or until its minutes are over. The supervisor starts
 * another.
 */
final class Shift
{
    private bool $isTold = false;
    private ?int $until = null;

    public function __construct(private readonly Clock $clock, private readonly Niceness $niceness)
    {
    }

    /** The options of a command that works in shifts. */
    public static function addOptions(Command $command): void
    {
        $command
            ->addOption(
                'minutes',
                null,
                InputOption::VALUE_REQUIRED,
                'Exit after this many minutes; the supervisor starts another process.',
                '60',
            )
            ->addOption(
                'niceness',
                null,
                InputOption::VALUE_REQUIRED,
                'How far it gives way to other processes, 0 to 19.',
                '0',
            );
    }

    public function begin(InputInterface $input): void
    {
        $niceness = $input->getOption('niceness');
        if (is_numeric($niceness) && $niceness > 0) {
            $this->niceness->set((int) $niceness);
        }
        $minutes = $input->getOption('minutes');
        $this->until = $this->clock->ms() + 60_000 * (is_numeric($minutes) ? (int) $minutes : 60);
        pcntl_async_signals(true);
        foreach ([\SIGTERM, \SIGINT] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->isTold = true;
            });
        }
    }

    public function isOver(): bool
    {
        return $this->isTold || (null !== $this->until && $this->clock->ms() >= $this->until);
    }
}
