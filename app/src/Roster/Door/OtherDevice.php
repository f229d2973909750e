<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use FreshHuddle\App\Http\Body\Id;

/**
 * The body of a request: whether another device that wants the same name is one's own.
 */
final readonly class OtherDevice
{
    /**
     * @param string $guest who asks
     * @param bool   $mine  it is this student's, who goes on there; false: it is not, and stays at the door
     */
    public function __construct(#[Id] public string $guest, public bool $mine)
    {
    }
}
