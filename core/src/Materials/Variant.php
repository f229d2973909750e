<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * A form of an original for some of the groups or students: an excerpt of its own, a simpler text.
 */
final readonly class Variant
{
    public function __construct(public string $id, public string $name)
    {
    }
}
