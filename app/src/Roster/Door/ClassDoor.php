<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

/**
 * What stands at the door of a class.
 */
final readonly class ClassDoor
{
    /**
     * @param list<NameAtDoor>|null $names in the order of the list; null where names are typed
     */
    public function __construct(public string $className, public ?array $names)
    {
    }
}
