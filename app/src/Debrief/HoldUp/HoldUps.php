<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Debrief\Debrief;
use FreshHuddle\App\Debrief\DebriefChanger;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;

/**
 * Shows work to everybody, and puts it down again.
 */
final readonly class HoldUps
{
    public function __construct(
        private EntityManagerInterface $em,
        private DebriefChanger $changer,
        private ShownReader $reader,
        private Pages $pages,
    ) {
    }

    /**
     * @throws DebriefRefused if there is no such place in the copy
     */
    public function show(Lesson $lesson, Teacher $teacher, WorkCopy $copy, HoldUpWork $request): void
    {
        $this->mustBeIn($copy, $request);
        if ($copy->round->lesson->class !== $lesson->class) {
            throw DebriefRefused::missing(field: 'copy');
        }
        $this->changer->change($lesson, Actor::teacher($teacher->id), function (Debrief $debrief, int $now) use (
            $lesson,
            $teacher,
            $copy,
            $request,
        ): ?array {
            $held = $this->reader->heldUp($lesson->id);
            foreach ($held as $one) {
                if (self::isSame($one, $copy, $request)) {
                    return null; // pressed twice
                }
            }
            $position = $request->beside && [] !== $held ? 1 : 0;
            foreach ($held as $one) {
                if (0 === $position || $one->position === $position) {
                    $this->em->remove($one);
                }
            }
            $this->em->flush();
            $this->em->persist(
                new HeldUp(
                    $lesson,
                    $position,
                    $copy,
                    $request->page,
                    $request->slot,
                    $request->owner,
                    $teacher,
                    $now,
                ),
            );

            return [
                new Event(EventKind::HeldUp, $now, [
                    'copy' => $copy->id,
                    'group' => $copy->group?->id,
                    'page' => $request->page,
                    'slot' => $request->slot,
                ]),
            ];
        });
    }

    /**
     * @throws DebriefRefused if nothing is shown
     */
    public function edit(Lesson $lesson, EditShown $request, Actor $actor): void
    {
        $this->changer->change($lesson, $actor, function (Debrief $debrief) use ($lesson, $request): array {
            $debrief->showsNames = $request->names ?? $debrief->showsNames;
            $held = $this->reader->heldUp($lesson->id);
            foreach ($held as $one) {
                if (null !== $request->frozen) {
                    $one->frozen = $request->frozen ? $one->frozen ?? $this->reader->answers($one) : null;
                }
                if (null !== $request->pointer) {
                    $one->pointer = $one->position === ($request->position ?? 0) ? $request->pointer : '';
                }
            }

            return [];
        });
    }

    public function putDown(Lesson $lesson, Actor $actor): void
    {
        $this->changer->change(
            $lesson,
            $actor,
            fn (Debrief $debrief, int $now): ?array => $this->drop($lesson)
                ? [new Event(EventKind::PutDown, $now)]
                : null,
        );
    }

    /**
     * Nothing is shown any more, while the lesson is held.
     *
     * @return bool whether something was
     */
    public function drop(Lesson $lesson): bool
    {
        $held = $this->reader->heldUp($lesson->id);
        foreach ($held as $one) {
            $this->em->remove($one);
        }
        $this->em->flush();

        return [] !== $held;
    }

    /**
     * @throws DebriefRefused if there is no such place in the copy
     */
    private function mustBeIn(WorkCopy $copy, HoldUpWork $request): void
    {
        foreach ($this->pages->read($copy->pages) as $page) {
            if (null !== $request->page && $page->id !== $request->page) {
                continue;
            }
            foreach ($page->blocks as $block) {
                if (null === $request->slot || ($block->id === $request->slot && $block->kind->isSlot())) {
                    return;
                }
            }
        }
        throw DebriefRefused::unusable('debrief.no_such_place', null === $request->slot ? 'page' : 'slot');
    }

    private static function isSame(HeldUp $one, WorkCopy $copy, HoldUpWork $request): bool
    {
        return $one->copy === $copy
            && $one->page === $request->page
            && $one->slot === $request->slot
            && $one->owner === $request->owner
            && ($request->beside || 0 === $one->position);
    }
}
