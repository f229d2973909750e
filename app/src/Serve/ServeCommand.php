<?php

declare(strict_types=1);

namespace FreshHuddle\App\Serve;

use FreshHuddle\App\Database\ConnectionReader;
use FreshHuddle\App\Database\Niceness;
use FreshHuddle\App\Kernel;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\KernelInterface;

/**
 * The application behind the front server. One parent gets everything ready that all requests share, and keeps so many
 * processes for each pool; one that ends is replaced. They have no state but what can be made again at any moment.
 */
#[AsCommand('huddle:serve', 'Answers the requests nginx passes on (FastCGI over sockets).')]
final class ServeCommand extends Command
{
    /** Microseconds before a process that ended is replaced: one that cannot live does not take the machine with it. */
    private const BREATH = 50_000;

    private bool $stop = false;

    public function __construct(
        private readonly KernelInterface $kernel,
        private readonly ConnectionReader $database,
        private readonly Niceness $niceness,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption(
            'pool',
            null,
            InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY,
            'socket:processes, as /run/x/student.sock:6; with :niceness (1 to 19) they give way to others',
        )->addOption(
            'backlog',
            null,
            InputOption::VALUE_REQUIRED,
            'How many connections may wait on a socket.',
            '1024',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $kernel = $this->kernel;
        $pools = $this->pools($input, $output);
        if (null === $pools || !($kernel instanceof Kernel)) {
            return self::INVALID;
        }
        // Asked by nobody, of nobody's things: it opens no connection, and the classes that all requests need are
        // there.
        foreach (['/api/student/now', '/api/staff/me'] as $path) {
            $request = Request::create($path);
            $kernel->terminate($request, $kernel->handle($request));
        }
        $kernel->boot();
        pcntl_async_signals(true);
        foreach ([\SIGTERM, \SIGINT, \SIGQUIT] as $signal) {
            pcntl_signal(
                $signal,
                function (): void {
                    $this->stop = true;
                },
                false,
            );
        }
        /** @var array<int, array{\Socket, int}> $living by process */
        $living = [];
        foreach ($pools as [$socket, $processes, $niceness]) {
            for ($i = 0; $i < $processes; ++$i) {
                $living[$this->born($kernel, $socket, $niceness)] = [$socket, $niceness];
            }
        }
        while (!$this->mustStop()) {
            $gone = pcntl_wait($status);
            if ($gone > 0 && isset($living[$gone])) {
                [$socket, $niceness] = $living[$gone];
                unset($living[$gone]);
                usleep(self::BREATH);
                if (!$this->mustStop()) {
                    $living[$this->born($kernel, $socket, $niceness)] = [$socket, $niceness];
                }
            }
        }
        foreach (array_keys($living) as $process) {
            posix_kill($process, \SIGTERM); // each ends when it has answered what it is at
        }
        while (pcntl_wait($status) > 0) {
        }

        return self::SUCCESS;
    }

    /**
     * @phpstan-impure a signal may have come since it was asked last
     */
    private function mustStop(): bool
    {
        pcntl_signal_dispatch();

        return $this->stop;
    }

    private function born(Kernel $kernel, \Socket $socket, int $niceness): int
    {
        $process = pcntl_fork();
        if (-1 === $process) {
            throw new \RuntimeException('No process can be made.');
        }
        if (0 === $process) {
            mt_srand();
            $this->niceness->set($niceness);
            (new Process($kernel, $this->database))->serve($socket);
            exit(0);
        }

        return $process;
    }

    /**
     * @return list<array{\Socket, int, int}>|null socket, processes, niceness
     */
    private function pools(InputInterface $input, OutputInterface $output): ?array
    {
        $pools = [];
        $backlog = $input->getOption('backlog');
        /** @var list<string> $options */
        $options = $input->getOption('pool');
        foreach ($options as $option) {
            if (1 !== preg_match('~^(/[^:]+):([1-9]\d?)(?::(1?\d))?$~D', $option, $found)) {
                $output->writeln("“{$option}” is no pool: socket:processes[:niceness].");

                return null;
            }
            @unlink($found[1]);
            $socket = socket_create(\AF_UNIX, \SOCK_STREAM, 0);
            if (
                false === $socket
                || !@socket_bind($socket, $found[1])
                || !socket_listen($socket, is_numeric($backlog) ? (int) $backlog : 1024)
            ) {
                $output->writeln("{$found[1]} cannot be listened at.");

                return null;
            }
            $pools[] = [$socket, (int) $found[2], (int) ($found[3] ?? 0)];
        }
        if ([] === $pools) {
            $output->writeln('Give at least one --pool.');

            return null;
        }

        return $pools;
    }
}
