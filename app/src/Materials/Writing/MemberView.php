<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

/**
 * Somebody whose copy it was, by the name they had then.
 */
final readonly class MemberView
{
    public function __construct(public string $id, public string $name)
    {
    }
}
