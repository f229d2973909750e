<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * How everything outside the plan is. What is there and nobody wants is retired.
 */
final readonly class ActualState
{
    /**
     * @param list<RoomThere>   $rooms
     * @param list<CopyThere>   $copies
     * @param list<PostThere>   $posts
     * @param list<LetterThere> $letters
     */
    public function __construct(
        public array $rooms = [],
        public array $copies = [],
        public array $posts = [],
        public array $letters = [],
    ) {
    }
}
