<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * What one group gets of an original, where it is something else than all get.
 */
final readonly class CellView
{
    /**
     * @param string $variant '' for the plain form
     */
    public function __construct(#[Id] public string $group, public HandOutWay $way, public string $variant = '')
    {
    }
}
