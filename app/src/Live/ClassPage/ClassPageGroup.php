<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\ClassPage;

/**
 * A group on the page for the wall: its name, its sign and its members.
 */
final readonly class ClassPageGroup
{
    /**
     * @param int          $mark  which colour and sign
     * @param list<string> $names of those who are here, in the order of their seats
     */
    public function __construct(public string $name, public int $mark, public array $names)
    {
    }
}
