<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

use FreshHuddle\Core\Rooms\WayIn;

/**
 * Where a student goes, as that student may know it. The address is no part of it.
 */
final readonly class MyRoom
{
    /**
     * @param string       $name    what the place is called; '' where it is known by its group
     * @param list<string> $openers names of those who open it, where it has to be opened first
     */
    public function __construct(public WayIn $way, public string $name, public array $openers)
    {
    }
}
