<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

/**
 * The gallery that is open, as the whole class may know it.
 */
final readonly class OpenGalleryView
{
    /**
     * @param int|null $until milliseconds since 1970; null: as long as the lesson lasts
     */
    public function __construct(public bool $remarks, public ?int $until)
    {
    }
}
