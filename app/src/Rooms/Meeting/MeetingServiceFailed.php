<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Meeting;

final class MeetingServiceFailed extends \RuntimeException
{
    /**
     * @param bool $worthRetrying false where the service has understood and says no
     */
    private function __construct(string $message, public readonly bool $worthRetrying, ?\Throwable $previous = null)
    {
        parent::__construct($message, 0, $previous);
    }

    public static function noAnswer(\Throwable $previous): self
    {
        return new self('The meeting service does not answer.', true, $previous);
    }

    public static function answered(int $status): self
    {
        return $status >= 500 || 429 === $status
            ? new self(\sprintf('The meeting service has trouble of its own (%d).', $status), true)
            : new self(\sprintf('The meeting service refused (%d).', $status), false);
    }

    public static function nonsense(): self
    {
        return new self('The meeting service gave an answer that makes no sense.', true);
    }
}
