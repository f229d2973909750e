<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

/**
 * A class that has moved in.
 */
final readonly class OpenedClass
{
    public function __construct(public string $id)
    {
    }
}
