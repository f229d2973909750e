<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

/**
 * What stands at the door of a class: its name and the names to choose from.
 */
final readonly class ClassDoor
{
    /**
     * @param list<NameAtDoor> $names in the order of the list
     */
    public function __construct(public string $className, public array $names)
    {
    }
}
