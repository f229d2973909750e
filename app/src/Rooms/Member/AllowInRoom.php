<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Member;

/**
 * What students may do in one room. What is null is as in the class's rooms, also when that changes.
 */
final readonly class AllowInRoom
{
    public function __construct(
        public ?bool $mayRecord = null,
        public ?bool $mayShareScreen = null,
        public ?bool $mayWrite = null,
    ) {
    }
}
