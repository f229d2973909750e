<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing\Message;

use FreshHuddle\App\Stream\Message\StaffMessage;
use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * What has changed in a long answer: after `at` characters `gone` go out and `put` comes in. Where that is long too, all
 * three are null: ask for the copy.
 */
final readonly class ChangeMessage implements StaffMessage, StudentMessage
{
    /**
     * @param string   $owner    the student or the copy the answer belongs to
     * @param int      $revision of the answer, one more than before the change
     * @param int      $when     milliseconds since 1970
     * @param float    $share    how much of the slot is done, 0 to 1
     * @param int|null $caret    where the author is, in characters
     */
    public function __construct(
        public string $copy,
        public string $slot,
        public string $owner,
        public int $revision,
        public string $author,
        public int $when,
        public float $share,
        public ?int $caret,
        public ?int $at,
        public ?int $gone,
        public ?string $put,
    ) {
    }

    public static function kind(): string
    {
        return 'change';
    }
}
