<?php

declare(strict_types=1);

namespace FreshHuddle\App\Serve;

use FreshHuddle\App\Database\ConnectionReader;
use FreshHuddle\App\Http\LogLine;
use FreshHuddle\App\Kernel;
use Symfony\Component\HttpFoundation\Response;

/**
 * Takes requests from a socket one after the other, with a kernel that stays: what does not change from request to
 * request (the container, the mapping, the connection to the database and its prepared statements) is made once. What
 * may change is reset by the framework after each. It ends by itself after so many requests, or when it has grown.
 */
final class Process
{
    private const MOST_REQUESTS = 5_000;
    /** Bytes. */
    private const GROWN = 120_000_000;
    /** Seconds a request may take; then the process is ended from outside. */
    private const LONGEST = 60;
    /** Seconds the front server has for each part of a request and of an answer. */
    private const PATIENCE = 15;

    private bool $stop = false;

    public function __construct(private readonly Kernel $kernel, private readonly ConnectionReader $database)
    {
    }

    public function serve(\Socket $listening): void
    {
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
        pcntl_signal(\SIGALRM, \SIG_DFL);
        for (
            $served = 0;
            $served < self::MOST_REQUESTS && !$this->stop && memory_get_usage() < self::GROWN;
            ++$served
        ) {
            $socket = @socket_accept($listening);
            if (!$socket instanceof \Socket) {
                continue; // a signal woke it
            }
            $patience = ['sec' => self::PATIENCE, 'usec' => 0];
            socket_set_option($socket, \SOL_SOCKET, \SO_RCVTIMEO, $patience);
            socket_set_option($socket, \SOL_SOCKET, \SO_SNDTIMEO, $patience);
            pcntl_alarm(self::LONGEST);
            try {
                $this->once(new FastCgi($socket));
            } catch (Malformed) {
                // The other side went, or spoke of something else: nobody is left to be told.
            } finally {
                pcntl_alarm(0);
                socket_close($socket);
            }
        }
    }

    private function once(FastCgi $with): void
    {
        $request = $with->request();
        $this->database->wake();
        try {
            $response = $this->kernel->handle($request);
        } catch (\Throwable $e) {
            error_log('A request broke outside the kernel: '.LogLine::forError($e));
            $with->answer(new Response('', 500));

            return;
        }
        $with->answer($response);
        $this->kernel->terminate($request, $response);
        $this->kernel->boot(); // resets what the request left behind
        $this->database->rest($response->isServerError());
    }
}
