<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Doctrine\DBAL\Exception\DriverException;

/**
 * What a log may say of an error. Messages can hold what somebody wrote or is called (a database's message quotes the
 * row it refused), so only what comes from our own code stands there: what it was and where.
 */
final class LogLine
{
    private const PLACES = 6;

    public static function forError(\Throwable $error): string
    {
        $parts = [];
        for ($cause = $error; null !== $cause; $cause = $cause->getPrevious()) {
            $code =
                $cause instanceof DriverException || $cause instanceof \PDOException ? ' '.self::state($cause) : '';
            $parts[] = \sprintf(
                '%s%s at %s:%d',
                $cause::class,
                $code,
                basename($cause->getFile()),
                $cause->getLine(),
            );
        }
        $places = [];
        foreach (\array_slice($error->getTrace(), 0, self::PLACES) as $call) {
            $places[] = basename($call['file'] ?? '?').':'.($call['line'] ?? 0);
        }

        return implode(', because of ', $parts).'; from '.implode(' < ', $places);
    }

    private static function state(DriverException|\PDOException $error): string
    {
        return $error instanceof DriverException ? (string) $error->getSQLState() : (string) $error->getCode();
    }
}
