<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\AbstractException;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractStatementMiddleware;
use Doctrine\DBAL\Driver\Result;
use Doctrine\DBAL\Driver\Statement;

/**
 * Cuts the line to the database before a statement of a test's choice, as it is cut for the database when a process
 * dies: nothing comes through any more, and what was in a transaction has not been.
 */
final class Death implements Middleware
{
    /** How many statements still come through; null: all. */
    private static ?int $left = null;

    private static ?int $killAt = null;
    private static ?string $log = null;
    private static int $seen = 0;

    /**
     * @param int               $after how many statements come through
     * @param callable(): mixed $do
     *
     * @return bool whether it died
     */
    public static function after(int $after, callable $do): bool
    {
        self::$left = $after;
        try {
            $do();

            return false;
        } catch (\Throwable $e) {
            return self::$left < 0 ? true : throw $e;
        } finally {
            self::$left = null;
        }
    }

    /**
     * The whole process is killed, as by the machine it runs on, before a statement.
     *
     * @param int|null    $at  before which, from 0; null: before none
     * @param string|null $log file that is told every statement
     */
    public static function ofTheProcess(?int $at, ?string $log): void
    {
        [self::$killAt, self::$log, self::$seen] = [$at, $log, 0];
    }

    public static function step(string $sql = ''): void
    {
        if (null !== self::$log) {
            file_put_contents(self::$log, strtok($sql, "\n")."\n", \FILE_APPEND);
        }
        if (null !== self::$killAt && self::$seen++ === self::$killAt) {
            posix_kill((int) getmypid(), \SIGKILL);
        }
        if (null !== self::$left && --self::$left < 0) {
            self::$left = -1;
            throw new class('SQLSTATE[08006] server closed the connection', '08006') extends AbstractException {};
        }
    }

    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Driver\Connection
            {
                return new class(parent::connect($params)) extends AbstractConnectionMiddleware {
                    public function prepare(string $sql): Statement
                    {
                        return new class(parent::prepare($sql), $sql) extends AbstractStatementMiddleware {
                            public function __construct(Statement $statement, private readonly string $sql)
                            {
                                parent::__construct($statement);
                            }

                            public function execute(): Result
                            {
                                Death::step($this->sql);

                                return parent::execute();
                            }
                        };
                    }

                    public function query(string $sql): Result
                    {
                        Death::step($sql);

                        return parent::query($sql);
                    }

                    public function exec(string $sql): int|string
                    {
                        // The server itself forgets what was in a transaction, and to begin or end one is no step of
                        // its own.
                        if (1 !== preg_match('/^(SAVEPOINT|ROLLBACK|RELEASE) /', $sql)) {
                            Death::step($sql);
                        }

                        return parent::exec($sql);
                    }
                };
            }
        };
    }
}
