<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use FreshHuddle\App\Stream\Message\ClassPageMessage;
use FreshHuddle\App\Stream\Message\StudentMessage;
use FreshHuddle\App\Stream\Message\UnstoredMessage;

/**
 * What a class sees while its work is talked about, as it is now.
 */
final readonly class DebriefMessage implements StudentMessage, ClassPageMessage, UnstoredMessage
{
    /**
     * @param int|null $seq of the event this comes from; null: of none that concerns everybody
     */
    public function __construct(public ?int $seq, public ClassDebrief $debrief)
    {
    }

    public static function kind(): string
    {
        return 'debriefNow';
    }
}
