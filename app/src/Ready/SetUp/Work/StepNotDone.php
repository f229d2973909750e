<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Work;

use FreshHuddle\App\Ready\Portal\PortalFailed;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * A step could not be done; why, for the teacher.
 */
final class StepNotDone extends Refused
{
    private function __construct(Message $why, public readonly bool $worthRetrying)
    {
        parent::__construct($why);
    }

    public static function atService(MeetingServiceFailed|PortalFailed $failure): self
    {
        return new self($failure->says, $failure->worthRetrying);
    }

    public static function withoutLink(NoLinkYet $failure): self
    {
        return new self($failure->says, false);
    }

    public static function because(Message $why, bool $worthRetrying = false): self
    {
        return new self($why, $worthRetrying);
    }
}
