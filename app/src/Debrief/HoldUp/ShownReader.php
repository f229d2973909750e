<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Debrief\Sum\SumReader;
use FreshHuddle\App\Materials\Cupboard\BlockHtml;
use FreshHuddle\App\Materials\Cupboard\BlockView;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Materials\Writing\AnswerView;
use FreshHuddle\App\Materials\Writing\CopyView;
use FreshHuddle\App\Materials\Writing\WorkReader;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Debrief\HoldUp\ShownPart;
use FreshHuddle\Core\Materials\Member;
use FreshHuddle\Core\Materials\Page;

/**
 * Shown work, put together for everybody's eyes.
 */
final readonly class ShownReader
{
    public function __construct(
        private EntityManagerInterface $em,
        private WorkReader $work,
        private Pages $pages,
        private SumReader $sums,
    ) {
    }

    /**
     * @return list<HoldUp> what is shown in a lesson, in order
     */
    public function heldUp(string $lessonId): array
    {
        return $this->em->getRepository(HoldUp::class)->findBy(['lesson' => $lessonId], ['position' => 'ASC']);
    }

    /**
     * @param bool $names with the names of its group and its writers
     */
    public function view(string $lessonId, bool $names): ?ShownView
    {
        $held = $this->heldUp($lessonId);

        return [] === $held
            ? null
            : new ShownView(
                $held[0]->teacher->name,
                null !== $held[0]->frozen,
                array_map(
                    fn (HoldUp $one): ShownPiece => null === $one->copy
                        ? $this->sumPiece($one, $names)
                        : $this->piece($one, $one->copy, $names),
                    $held,
                ),
            );
    }

    private function sumPiece(HoldUp $held, bool $names): ShownPiece
    {
        $sum = null === $held->round || null === $held->original || null === $held->slot
            ? null
            : $this->sums->forSlot($held->round, $held->original->id, $held->slot);

        return new ShownPiece(
            $sum->title ?? '',
            null,
            [],
            [],
            [],
            $held->pointer,
            $sum?->forAll($names, $held->showsRight),
        );
    }

    /**
     * What stands there now, to be kept as it is.
     *
     * @return list<array{slot: string, owner: string, text: string}>
     */
    public function answers(HoldUp $held): array
    {
        return null === $held->copy
            ? []
            : self::written($this->copy($held->copy), new ShownPart($held->page, $held->slot, $held->owner));
    }

    /**
     * @return list<array{slot: string, owner: string, text: string}>
     */
    private static function written(CopyView $copy, ShownPart $part): array
    {
        return array_values(
            array_map(
                static fn (AnswerView $answer): array => [
                    'slot' => $answer->slot,
                    'owner' => $answer->owner,
                    'text' => $answer->text,
                ],
                array_filter(
                    $copy->answers,
                    static fn (AnswerView $answer): bool => '' !== $answer->text
                        && $part->hasAnswer($answer->slot, $answer->owner),
                ),
            ),
        );
    }

    /**
     * @return string|null the copy among those shown in which a picture or a recording is to be seen
     */
    public function copyWith(string $lessonId, string $media): ?string
    {
        foreach ($this->heldUp($lessonId) as $held) {
            $copy = $held->copy;
            if (
                null !== $copy
                && str_contains(json_encode($this->piece($held, $copy, false), \JSON_THROW_ON_ERROR), $media)
            ) {
                return $copy->id;
            }
        }

        return null;
    }

    /**
     * A whole copy as the class may see it, with the name of its group.
     *
     * @param bool $names also of its writers
     */
    public function whole(WorkCopy $copy, bool $names): ShownPiece
    {
        $part = new ShownPart(null);
        $view = $this->copy($copy);

        return $this->build($copy, $view, $part, self::written($view, $part), 0, $names, true);
    }

    /**
     * A whole copy with all names, and in it what is given instead of what stands there now.
     *
     * @param list<array{slot: string, owner: string, text: string}> $answers
     */
    public function wholeWith(WorkCopy $copy, array $answers): ShownPiece
    {
        return $this->build($copy, $this->copy($copy), new ShownPart(null), $answers, 0, true, true);
    }

    private function copy(WorkCopy $copy): CopyView
    {
        return $this->work->copy($copy->id) ?? throw new \LogicException('Every copy can be read.');
    }

    private function piece(HoldUp $held, WorkCopy $of, bool $names): ShownPiece
    {
        $part = new ShownPart($held->page, $held->slot, $held->owner);
        $view = $this->copy($of);
        $answers = $held->frozen ?? self::written($view, $part);

        return $this->build($of, $view, $part, $answers, $held->at, $names, $names, $held->pointer);
    }

    /**
     * @param array<array-key, mixed> $answers
     * @param int                     $salt    for the order of answers
     * @param bool                    $names   of its writers
     * @param bool                    $whose   with the name of its group
     */
    private function build(
        WorkCopy $of,
        CopyView $copy,
        ShownPart $part,
        array $answers,
        int $salt,
        bool $names,
        bool $whose,
        string $pointer = '',
    ): ShownPiece {
        $telling = $whose || '' === $of->variant ? [] : $this->telling($of);
        $pages = $slots = [];
        foreach ($copy->pages as $page) {
            if (!$part->hasPage($page->id)) {
                continue;
            }
            $blocks = [];
            foreach ($page->blocks as $view) {
                $block = $view->block();
                $shown = $part->hasBlock($block) ? ShownPart::forAll($block, isset($telling[$block->id])) : null;
                if (null !== $shown) {
                    $blocks[] = BlockView::fromBlock($shown);
                    $slots[$view->id] = true;
                }
            }
            if ([] !== $blocks) {
                $pages[] = new PageView($page->id, $page->title, $blocks);
            }
        }
        $owner = $of->group ?? $of->student;

        return new ShownPiece(
            $copy->title,
            $whose && null !== $owner ? new ShownGroup($owner->name, $of->group?->mark) : null,
            $pages,
            array_values(
                array_filter($copy->html, static fn (BlockHtml $html): bool => isset($slots[$html->block])),
            ),
            $this->named($of, $salt, self::bySlot($answers, $slots), $names),
            $pointer,
        );
    }

    /**
     * @return array<string, true> blocks that are not the same in all variants of a copy
     */
    private function telling(WorkCopy $copy): array
    {
        $copies = [];
        foreach (
            $this->em->getRepository(WorkCopy::class)->findBy([
                'round' => $copy->round,
                'original' => $copy->original,
            ]) as $other
        ) {
            $copies[$other->variant] ??= array_map(
                static fn (PageView $page): Page => $page->page(),
                $this->pages->read($other->pages),
            );
        }

        return ShownPart::telling(array_values($copies));
    }

    /**
     * @param array<array-key, mixed> $answers
     * @param array<string, true>     $slots   that are shown
     *
     * @return array<string, array<string, string>> texts by slot and owner
     */
    private static function bySlot(array $answers, array $slots): array
    {
        $written = [];
        foreach ($answers as $answer) {
            if (
                \is_array($answer)
                && \is_string($answer['slot'] ?? null)
                && \is_string($answer['owner'] ?? null)
                && \is_string($answer['text'] ?? null)
                && isset($slots[$answer['slot']])
            ) {
                $written[$answer['slot']][$answer['owner']] = $answer['text'];
            }
        }

        return $written;
    }

    /**
     * @param array<string, array<string, string>> $written texts by slot and owner
     *
     * @return list<ShownAnswer>
     */
    private function named(WorkCopy $copy, int $at, array $written, bool $names): array
    {
        $seats = array_map(
            static fn (Member $member): string => $member->student,
            array_merge(...array_values($this->work->members($copy->round->id))),
        );
        $answers = [];
        foreach ($written as $slot => $texts) {
            $owners = array_map(strval(...), array_keys($texts));
            $owners = $names
                ? [...array_values(array_intersect($seats, $owners)), ...array_values(array_diff($owners, $seats))]
                : ShownPart::mix($owners, $copy->id.$slot.$at);
            foreach ($owners as $i => $owner) {
                $answers[] = new ShownAnswer(
                    (string) $slot,
                    "a{$i}",
                    $names && $owner !== $copy->id ? $this->em->find(Student::class, $owner)->name ?? '' : '',
                    $texts[$owner],
                );
            }
        }

        return $answers;
    }
}
