<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

/**
 * How far this process gives way to others; what works for it in the database does too (GiveWay).
 */
final class Niceness
{
    private int $value = 0;

    /**
     * @return int 0 to 19; 19 gives way to everybody
     */
    public function value(): int
    {
        return $this->value;
    }

    /**
     * From now on this process gives way, and so does every connection it opens.
     *
     * @param int $value 0 to 19
     */
    public function set(int $value): void
    {
        $this->value = $value;
        pcntl_setpriority($value);
    }
}
