<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\ClassPage;

use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Live\Student\MySegment;

/**
 * What a whole class may see on the wall: who is with whom once groups are shown, and the time. No links, no answers,
 * and nothing of what the teacher knows of anybody.
 */
final readonly class ClassPageView
{
    /**
     * @param MySegment|null       $segment the one the lesson is in; null before it has begun
     * @param Moments|null         $moments of the round
     * @param list<ClassPageGroup> $groups  none before they are shown
     * @param int|null             $back how many the meeting service sees back in the main session; null: nobody is
     *     called back, or it cannot be known
     * @param int|null             $of      of how many who took part
     */
    public function __construct(
        public string $title,
        public string $className,
        public string $doorWord,
        public ?MySegment $segment,
        public ?Moments $moments,
        public array $groups,
        public bool $over,
        public int $serverNow,
        public ?int $back,
        public ?int $of,
    ) {
    }
}
