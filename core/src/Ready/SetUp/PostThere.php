<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * A post as the course portal has it.
 */
final readonly class PostThere
{
    /**
     * @param string       $name     of the group
     * @param list<string> $audience ids of who sees it
     * @param string       $digest   of what it was given; '' where it is not as it was given
     */
    public function __construct(
        public string $id,
        public string $group,
        public string $name,
        public array $audience,
        public string $digest,
    ) {
    }
}
