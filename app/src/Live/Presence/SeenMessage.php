<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * The meeting service sees the student somewhere.
 */
final readonly class SeenMessage implements StudentMessage
{
    /**
     * @param string|null $place the room; null: in none
     */
    public function __construct(public ?string $place)
    {
    }

    public static function kind(): string
    {
        return 'seen';
    }
}
