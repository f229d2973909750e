<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

/**
 * The gallery that is open, for the teacher.
 */
final readonly class GalleryStaffView
{
    /**
     * @param int|null         $until  milliseconds since 1970; null: as long as the lesson lasts
     * @param list<RemarkView> $written the latest first
     */
    public function __construct(public bool $remarks, public ?int $until, public array $written)
    {
    }
}
