<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

/**
 * How a student is told things who cannot read yet.
 */
final readonly class Young
{
    /**
     * @param int|null $picture  the one they know themselves by, from 0
     * @param string   $language in which their teacher's texts are read out: a code as “cy-GB” (BCP 47)
     */
    public function __construct(public ?int $picture, public string $language)
    {
    }
}
