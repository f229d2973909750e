<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Meeting;

use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TryAgain;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * The meeting service did not do what it was asked, or did not answer.
 */
final class MeetingServiceFailed extends Refused
{
    /**
     * @param bool $worthRetrying false where the service has understood and says no
     * @param bool $missing       it knows nothing of what it was asked about
     */
    private function __construct(
        Message $says,
        public readonly bool $worthRetrying,
        public readonly bool $missing = false,
    ) {
        parent::__construct($says);
    }

    public static function noAnswer(): self
    {
        return new self(new Message('rooms.service.no_answer'), true);
    }

    public static function answered(int $status): self
    {
        return $status >= 500 || 429 === $status
            ? new self(new Message('rooms.service.trouble', ['status' => $status]), true)
            : new self(new Message('rooms.service.refused', ['status' => $status]), false, 404 === $status);
    }

    /**
     * It said that the room was made, and does not know it.
     */
    public static function untrue(): self
    {
        return new self(new Message('rooms.service.untrue'), true);
    }

    public static function nonsense(): self
    {
        return new self(new Message('rooms.service.nonsense'), true);
    }

    /**
     * What a task does that was to use the service: try again, each time after twice as long, where that may help.
     *
     * @param int $most  tries, before it is given up
     * @param int $first milliseconds
     */
    public function tryAgain(Task $task, int $most, int $first): TryAgain|GaveUp
    {
        return $this->worthRetrying && $task->attempts < $most
            ? new TryAgain($this->says, $first * 2 ** $task->attempts)
            : new GaveUp($this->says);
    }
}
