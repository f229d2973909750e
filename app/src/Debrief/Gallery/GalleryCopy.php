<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

/**
 * A copy that hangs in the gallery.
 */
final readonly class GalleryCopy
{
    /**
     * @param string   $name  of its group, or of its student
     * @param int|null $mark  the group's colour and sign
     * @param bool     $mine  it is the student's own, or of their group
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $name,
        public ?int $mark,
        public bool $mine,
    ) {
    }
}
