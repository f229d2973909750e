<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\ClassPage;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\StudentPage;
use Symfony\Component\Routing\Attribute\Route;

final readonly class ClassPageController
{
    public function __construct(private ClassPageLink $link, private NowReader $lessons, private ClassPageReader $reader, private Clock $clock)
    {
    }

    /** For the wall: whoever has the address may look, and sees no more than the class may. */
    #[Route('/api/class-page/{token}', methods: ['GET'], requirements: ['token' => '[1-9A-HJ-NP-Za-km-z]{22}\.[A-Za-z0-9_-]{22}'])]
    public function show(string $token): ClassPageView
    {
        $id = $this->link->lesson($token);
        $lesson = null === $id ? null : $this->lessons->of($id);
        if (null === $lesson) {
            throw LiveRefused::missing();
        }
        $class = $this->reader->schoolClass($lesson->classId);
        $now = $this->clock->ms();
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
        );
    }
}
