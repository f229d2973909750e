<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\ClassPage;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Live\Presence\WhereaboutsReader;
use FreshHuddle\App\Live\Student\StudentPage;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Live\Evidence;
use FreshHuddle\Core\Live\EvidenceKind;
use FreshHuddle\Core\Live\Observability;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Whereabouts;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The page for the wall: whoever has its address may look.
 */
final readonly class ClassPageController
{
    public function __construct(
        private ClassPageAccess $classPages,
        private ClassPageReader $reader,
        private Clock $clock,
        private LessonAccess $access,
        private WhereaboutsReader $whereabouts,
        private RunReader $runs,
    ) {
    }

    /** Gives the class page a new address; the old one shows nothing any more. */
    #[Route('/api/staff/lessons/{id}/class-page', methods: ['POST'], requirements: ['id' => Requirement::UUID])]
    #[ForAssistants]
    public function renew(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->classPages->renew($this->access->lesson($teacher, $id));
    }

    /** Shows the class page to whoever has its address. */
    #[Route('/api/class-page/{token}', methods: ['GET'], requirements: ['token' => SignedAddress::PATTERN])]
    public function show(string $token): ClassPageView
    {
        $lesson = $this->classPages->lesson($token);
        $class = $this->reader->schoolClass($lesson->classId);
        $now = $this->clock->ms();
        $back = $this->whoIsBack($lesson, $now);
        $shown = null === $lesson->endedAt && null !== $lesson->groupingId && $lesson->phase($now)->showsGroups();

        return new ClassPageView(
            $lesson->title,
            $class['name'],
            $class['doorWord'],
            StudentPage::segment($lesson),
            $lesson->moments,
            $shown ? $this->reader->groups($lesson->groupingId) : [],
            null !== $lesson->endedAt,
            $now,
            $back['back'] ?? null,
            $back['of'] ?? null,
        );
    }

    /**
     * @return array{back: int, of: int}|null null where nobody is called back, and where nothing sees who is
     */
    private function whoIsBack(LessonNow $lesson, int $now): ?array
    {
        $isAsked =
            null === $lesson->endedAt
            && SegmentKind::Round === $lesson->kind
            && \in_array($lesson->phase($now), [Phase::ComingBack, Phase::Back], true);
        $expected =
            $isAsked && null !== $lesson->roundId
                ? array_filter(
                    array_intersect_key(
                        $this->whereabouts->inLesson($lesson, $now),
                        array_flip($this->runs->floor($lesson->roundId)->seated()),
                    ),
                    static fn (Whereabouts $where): bool => Place::Excused !== $where->place
                        && EvidenceKind::Never !== $where->because,
                )
                : [];
        if (
            [] === $expected
            || [] !==
                array_filter(
                    $expected,
                    static fn (Whereabouts $where): bool => Observability::Service !== $where->sight,
                )
        ) {
            return null;
        }

        return [
            'back' => \count(
                array_filter($expected, static fn (Whereabouts $where): bool => Evidence::MAIN === $where->at),
            ),
            'of' => \count($expected),
        ];
    }
}
