<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

use FreshHuddle\Core\Materials\HandOutWay;

/**
 * A material a group gets.
 */
final readonly class WorkLine
{
    /**
     * @param string|null $variant its name, where the group has one of its own
     */
    public function __construct(public string $title, public HandOutWay $way, public ?string $variant)
    {
    }

    /**
     * @param list<self> $lines
     */
    public function isAmong(array $lines): bool
    {
        foreach ($lines as $line) {
            if ($line->title === $this->title && $line->way === $this->way && $line->variant === $this->variant) {
                return true;
            }
        }

        return false;
    }
}
