<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * The student is called back to where they belong.
 */
final readonly class FetchedMessage implements StudentMessage
{
    /**
     * @param int $at milliseconds since 1970
     */
    public function __construct(public int $at)
    {
    }

    public static function kind(): string
    {
        return 'fetched';
    }
}
