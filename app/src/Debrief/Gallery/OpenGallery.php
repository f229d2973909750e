<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

use FreshHuddle\App\Http\Body\Moment;

/**
 * The body of a request: opens the gallery, or changes the one that is open.
 */
final readonly class OpenGallery
{
    /**
     * @param bool     $remarks each student may leave one short remark beside each copy
     * @param int|null $until   milliseconds since 1970; null: as long as the lesson lasts
     */
    public function __construct(public bool $remarks = false, #[Moment] public ?int $until = null)
    {
    }
}
