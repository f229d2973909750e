<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Calling;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Live\Presence\WhereaboutsReader;
use FreshHuddle\Core\Live\EvidenceKind;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * Who is here.
 */
final readonly class PresentStudents
{
    public function __construct(
        private NowReader $now,
        private WhereaboutsReader $whereabouts,
        private Clock $clock,
    ) {
    }

    /**
     * @return list<string> whoever is here; where no device of anybody has been seen, as in a room without any, whoever
     *                      is not marked absent
     */
    public function inLesson(string $lessonId): array
    {
        $state = $this->now->forLesson($lessonId);
        $where = null === $state ? [] : $this->whereabouts->inLesson($state, $this->clock->ms());
        $seen = array_filter(
            $where,
            static fn (Whereabouts $one): bool => $one->place->isSeen(),
        );
        $silent = array_filter(
            $where,
            static fn (Whereabouts $one): bool => EvidenceKind::Silent === $one->because,
        );
        $hasDevices = [] !== $seen || [] !== $silent;

        return array_keys(
            $hasDevices
                ? $seen
                : array_filter($where, static fn (Whereabouts $one): bool => Place::Excused !== $one->place),
        );
    }
}
