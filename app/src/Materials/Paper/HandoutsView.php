<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

/**
 * A round on paper: its groups with their work, and a slip for everybody who is here.
 */
final readonly class HandoutsView
{
    /**
     * @param int|null           $startsAt milliseconds since 1970
     * @param list<WorkLine>     $work     what every group gets alike
     * @param list<HandoutGroup> $groups
     * @param list<Handout>      $slips    by group and seat, so that a group's lie together; who has no seat comes last
     */
    public function __construct(
        public string $lessonId,
        public string $title,
        public string $classId,
        public string $className,
        public ?int $startsAt,
        public string $doorWord,
        public array $work,
        public array $groups,
        public array $slips,
    ) {
    }
}
