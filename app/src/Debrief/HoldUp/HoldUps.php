<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Debrief\Debrief;
use FreshHuddle\App\Debrief\DebriefChanger;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Debrief\Sum\SumReader;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
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
        private SumReader $sums,
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
        $make = static fn (int $position, int $now): HoldUp => new HoldUp(
            $lesson,
            $position,
            $copy,
            $request->page,
            $request->slot,
            $request->owner,
            $teacher,
            $now,
        );
        $this->put($lesson, $teacher, $request->beside, $make, [
            'copy' => $copy->id,
            'group' => $copy->group?->id,
            'page' => $request->page,
            'slot' => $request->slot,
        ]);
    }

    /**
     * @throws DebriefRefused if there is nothing to be summed up there
     */
    public function showSum(Lesson $lesson, Teacher $teacher, Round $round, ShowSum $request): void
    {
        $original = $this->em->find(StoredOriginal::class, $request->original);
        if (
            $round->lesson->class !== $lesson->class
            || null === $original
            || null === $this->sums->forSlot($round, $original->id, $request->slot)
        ) {
            throw DebriefRefused::unusable('debrief.no_such_place', 'slot');
        }
        $make = static fn (int $position, int $now): HoldUp => new HoldUp(
            $lesson,
            $position,
            null,
            null,
            $request->slot,
            null,
            $teacher,
            $now,
            $round,
            $original,
        );
        $this->put($lesson, $teacher, $request->beside, $make, [
            'round' => $round->id,
            'original' => $original->id,
            'slot' => $request->slot,
        ]);
    }

    /**
     * @param \Closure(int, int): HoldUp     $make at a position, at a moment
     * @param array<string, string|int|null> $what for the event
     */
    private function put(Lesson $lesson, Teacher $teacher, bool $beside, \Closure $make, array $what): void
    {
        $do = function (Debrief $debrief, int $now) use ($lesson, $beside, $make, $what): ?array {
            $held = $this->reader->heldUp($lesson->id);
            $position = $beside && [] !== $held ? 1 : 0;
            $new = $make($position, $now);
            foreach ($held as $one) {
                if ($one->isLike($new) && ($beside || 1 === \count($held))) {
                    return null; // pressed twice
                }
            }
            foreach ($held as $one) {
                if (0 === $position || $one->position === $position) {
                    $this->em->remove($one);
                }
            }
            $this->em->flush();
            $this->em->persist($new);

            return [new Event(EventKind::HeldUp, $now, $what)];
        };
        $this->changer->change($lesson, Actor::teacher($teacher->id), $do);
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
                $one->showsRight = $request->right ?? $one->showsRight;
                if (null !== $request->frozen && null !== $one->copy) {
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
}
