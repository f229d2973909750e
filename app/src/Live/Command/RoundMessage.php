<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * A round has other moments now.
 */
final readonly class RoundMessage implements StudentMessage
{
    /**
     * @param int    $seq   of the event this comes from
     * @param string $round its id
     */
    public function __construct(public int $seq, public string $round, public Moments $moments)
    {
    }

    public static function kind(): string
    {
        return 'round';
    }
}
