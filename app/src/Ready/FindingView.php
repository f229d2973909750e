<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Weight;

final readonly class FindingView
{
    /**
     * @param string      $check   which check found it
     * @param string      $says    what is not in place, or worth a look, and where
     * @param string      $press   what the press that mends it is called, or the screen that does
     * @param string|null $subject id of what it is about
     */
    public function __construct(public string $check, public Weight $weight, public string $says, public Mend $mend, public string $press, public ?string $subject)
    {
    }
}
