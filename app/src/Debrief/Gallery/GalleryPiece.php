<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

use FreshHuddle\App\Debrief\HoldUp\ShownPiece;

/**
 * A piece of work in the gallery, for a student.
 */
final readonly class GalleryPiece
{
    /**
     * @param string           $remark  the student's own beside it; '' for none
     * @param list<RemarkView> $remarks all beside it, where it is theirs
     */
    public function __construct(public ShownPiece $work, public string $remark, public array $remarks)
    {
    }
}
