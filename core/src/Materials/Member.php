<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * A student whose copy it is, with the seat they have in their group.
 */
final readonly class Member
{
    /**
     * @param int    $number the seat's, from 1
     * @param string $role   '' for none
     */
    public function __construct(public string $student, public int $number, public string $role = '')
    {
    }
}
