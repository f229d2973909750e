<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use FreshHuddle\App\Lesson\Round\Moments;

/**
 * A round's moments as an answer has them.
 */
final class MomentsJson
{
    public static function read(mixed $json): Moments
    {
        $json = (array) $json;
        $moment = static fn (string $key): ?int => \is_int($json[$key] ?? null) ? $json[$key] : null;

        return new Moments(
            $moment('lookFrom'),
            $moment('outAt'),
            $moment('endsAt'),
            $moment('autoSeconds'),
            $moment('calledAt'),
            $moment('backAt'),
            $moment('pausedAt'),
        );
    }
}
