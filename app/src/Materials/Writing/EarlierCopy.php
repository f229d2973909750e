<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

/**
 * A copy of an earlier lesson that is still open to a student whose it was.
 */
final readonly class EarlierCopy
{
    /**
     * @param string           $lesson   its title
     * @param int              $startsAt the lesson's date and time; milliseconds since 1970
     * @param bool             $mayWrite it can be gone on with; otherwise it can be read
     * @param list<MemberView> $members  of the group, as they were when it was sent out last
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $lesson,
        public int $startsAt,
        public bool $mayWrite,
        public array $members,
    ) {
    }
}
