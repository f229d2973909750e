<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * What the lesson is at, as a student may know it.
 */
final readonly class MySegment
{
    /**
     * @param int|null $endsAt when it is planned to end; milliseconds since 1970. A round's own moments say more
     */
    public function __construct(public SegmentKind $kind, public string $instructions, public ?int $endsAt)
    {
    }
}
