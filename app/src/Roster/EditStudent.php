<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

final readonly class EditStudent
{
    /**
     * What is null stays as it is.
     */
    public function __construct(public ?string $name = null, public ?bool $absent = null)
    {
    }
}
