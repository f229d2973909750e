<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\Core\Record\GroupFigures;

/**
 * What a lesson's record says of a group (docs/formats/record.md).
 */
final readonly class GroupRecordView
{
    /**
     * @param list<string>  $students
     * @param list<PutView> $put      how much each has put in
     */
    public function __construct(
        public string $group,
        public string $name,
        public int $mark,
        public int $round,
        public array $students,
        public int $visits,
        public int $visitedMs,
        public int $calls,
        public int $waitedMs,
        public int $longestMs,
        public int $filled,
        public int $of,
        public array $put,
    ) {
    }

    public static function fromFigures(GroupFigures $one): self
    {
        $put = [];
        foreach ($one->put as $student => $much) {
            $put[] = new PutView((string) $student, $much);
        }

        return new self(
            $one->group,
            $one->name,
            $one->mark,
            $one->round,
            $one->students,
            $one->visits,
            $one->visitedMs,
            $one->calls,
            $one->waitedMs,
            $one->longestMs,
            $one->filled,
            $one->of,
            $put,
        );
    }
}
