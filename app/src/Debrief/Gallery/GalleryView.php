<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

/**
 * What hangs in the gallery, for a student.
 */
final readonly class GalleryView
{
    /**
     * @param list<GalleryCopy> $copies in the order of the groups
     */
    public function __construct(public bool $remarks, public ?int $until, public array $copies)
    {
    }
}
