<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Portal;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * The course portal did not do what it was asked; why, in words for the teacher.
 */
final class PortalFailed extends Refused
{
    /**
     * @param bool $worthRetrying false where the portal has understood and says no
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
        return new self(new Message('ready.portal.no_answer'), true);
    }

    public static function answered(int $status): self
    {
        return $status >= 500 || 429 === $status
            ? new self(new Message('ready.portal.trouble', ['status' => $status]), true)
            : new self(new Message('ready.portal.refused', ['status' => $status]), false, 404 === $status);
    }

    public static function nonsense(): self
    {
        return new self(new Message('ready.portal.nonsense'), true);
    }

    /**
     * It said that it was done, and it is not.
     */
    public static function untrue(): self
    {
        return new self(new Message('ready.portal.untrue'), true);
    }
}
