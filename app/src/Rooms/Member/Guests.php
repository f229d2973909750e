<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Member;

/**
 * Who is in a side room for a while. A later area knows.
 */
interface Guests
{
    /**
     * @return list<string> ids of students
     */
    public function in(string $sideRoomId): array;
}
