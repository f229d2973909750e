<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

/**
 * Whose work is shown.
 */
final readonly class ShownGroup
{
    /**
     * @param int|null $mark which colour and sign; null where it is one student's
     */
    public function __construct(public string $name, public ?int $mark)
    {
    }
}
