<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use FreshHuddle\App\Http\Body\Id;

/**
 * The body of a request: students join this lesson.
 */
final readonly class MakeCurrent
{
    /**
     * @param string|null $leaving the class's other lesson that is on, which ends by it
     */
    public function __construct(#[Id] public ?string $leaving = null)
    {
    }
}
