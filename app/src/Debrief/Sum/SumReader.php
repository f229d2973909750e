<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Materials\Cupboard\BlockView;
use FreshHuddle\App\Materials\Writing\AnswerView;
use FreshHuddle\App\Materials\Writing\CopyView;
use FreshHuddle\App\Materials\Writing\WorkReader;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Debrief\HoldUp\ShownPart;
use FreshHuddle\Core\Debrief\Sum\Score;
use FreshHuddle\Core\Debrief\Sum\SlotSums;
use FreshHuddle\Core\Debrief\Sum\SourceAnswer;
use FreshHuddle\Core\Debrief\Sum\Sum;
use FreshHuddle\Core\Debrief\Sum\Tally;
use FreshHuddle\Core\Debrief\Sum\TextsSum;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Materials\Block;

/**
 * Sums over all copies of a round, place by place.
 */
final readonly class SumReader
{
    public function __construct(
        private EntityManagerInterface $em,
        private WorkReader $work,
        private RunReader $runs,
    ) {
    }

    /**
     * @return list<SumView> in the order of the places on their worksheets
     */
    public function forRound(Round $round): array
    {
        return $this->sums($round, static fn (): bool => true);
    }

    /**
     * @return SumView|null null if there is nothing to be summed up there
     */
    public function forSlot(Round $round, string $original, string $slot): ?SumView
    {
        return $this->sums(
            $round,
            static fn (CopyView $copy, BlockView $view): bool => $copy->original === $original && $view->id === $slot,
        )[0] ?? null;
    }

    /**
     * @param callable(CopyView, BlockView): bool $isWanted
     *
     * @return list<SumView> in the order of the places on their worksheets
     */
    private function sums(Round $round, callable $isWanted): array
    {
        $places = [];
        foreach ($this->work->copies($round->id) as $copy) {
            foreach ($copy->pages as $page) {
                foreach ($page->blocks as $view) {
                    if (!$isWanted($copy, $view)) {
                        continue;
                    }
                    // Where variants have other texts to mark, what was done in them is not the same.
                    $key = "{$copy->original} {$view->id} {$view->settings->passage}";
                    $places[$key] ??= ['copy' => $copy, 'page' => $page->title, 'view' => $view, 'copies' => []];
                    $places[$key]['copies'][] = $copy;
                }
            }
        }
        $groups = $this->runs->floor($round->id)->groups;
        // In one query; find() takes them from memory.
        $this->em->getRepository(Student::class)->findBy(['class' => $round->lesson->class]);
        $sums = [];
        foreach ($places as $place) {
            $sum = $this->sum($round, $place['view'], $place['page'], $place['copy'], $place['copies'], $groups);
            if (null !== $sum) {
                $sums[] = $sum;
            }
        }

        return $sums;
    }

    /**
     * @param list<CopyView> $copies in which this place is
     * @param list<Group>    $groups
     */
    private function sum(
        Round $round,
        BlockView $view,
        string $page,
        CopyView $copy,
        array $copies,
        array $groups,
    ): ?SumView {
        $block = $view->block();
        $kind = SlotSums::forKind($block->kind);
        if (null === $kind) {
            return null;
        }
        $given = $this->given($block, $copies);
        $sources = $this->sources($block, $copies, $groups, array_column($given, 'source'));
        if ($kind instanceof TextsSum) {
            $kind = new TextsSum($this->apart($round, $copy->original, $view->id));
        }
        $sum = $kind->sum($block, $given);
        $place = array_flip(array_map(static fn (SumSource $source): string => $source->id, $sources));

        return new SumView(
            $copy->original,
            $copy->title,
            $page,
            BlockView::fromBlock(ShownPart::forAll($block, false) ?? $block),
            $sum->shape,
            \count($given),
            \count($sources),
            array_map(
                static fn (Tally $tally): TallyView => TallyView::fromTally($tally, $place),
                $sum->tallies,
            ),
            $sources,
            self::scores($sum, $place),
            array_sum(array_map(static fn (Score $score): int => $score->right, $sum->scores)),
            array_sum(array_map(static fn (Score $score): int => $score->of, $sum->scores)),
            array_values(array_diff_key($place, array_fill_keys(array_column($given, 'source'), true))),
        );
    }

    /**
     * @return list<string> texts that stand by themselves in a place
     */
    private function apart(Round $round, string $original, string $slot): array
    {
        return array_values(
            array_map(
                static fn (AnswerApart $one): string => $one->text,
                array_filter(
                    $this->em->getRepository(AnswerApart::class)->findBy(['round' => $round]),
                    static fn (AnswerApart $one): bool => $one->original->id === $original && $one->slot === $slot,
                ),
            ),
        );
    }

    /**
     * @param array<string, int> $place of each source
     *
     * @return list<ScoreView>
     */
    private static function scores(Sum $sum, array $place): array
    {
        return array_map(
            static fn (Score $score): ScoreView => new ScoreView($place[$score->source], $score->right, $score->of),
            $sum->scores,
        );
    }

    /**
     * @param list<CopyView> $copies
     *
     * @return list<SourceAnswer> what is not empty
     */
    private function given(Block $block, array $copies): array
    {
        $given = [];
        foreach ($copies as $copy) {
            foreach ($copy->answers as $answer) {
                if ($answer->slot === $block->id && self::isGiven($answer, $block)) {
                    $source = $answer->owner === $copy->id
                        ? $copy->groupId ?? $copy->studentId ?? $copy->id
                        : $answer->owner;
                    $given[] = new SourceAnswer($source, $answer->text);
                }
            }
        }

        return $given;
    }

    private static function isGiven(AnswerView $answer, Block $block): bool
    {
        return true === $block->slot()?->isFilled($answer->text, $block)
            || !\in_array(trim($answer->text), ['', '{}'], true);
    }

    /**
     * @param list<CopyView> $copies
     * @param list<Group>    $groups in the order of the floor
     * @param list<string>   $given  who has done something, also who sits there no more
     *
     * @return list<SumSource> whoever could have done something, in the order of the groups
     */
    private function sources(Block $block, array $copies, array $groups, array $given): array
    {
        $isAlone = true === $block->slot()?->isAlone($block->settings);
        $sources = [];
        foreach ($copies as $copy) {
            $mine = array_filter(
                $groups,
                static fn (Group $group): bool => null === $copy->groupId
                    ? null === $copy->studentId || \in_array($copy->studentId, $group->students, true)
                    : $copy->groupId === $group->id,
            );
            if (!$isAlone && null !== $copy->groupId) {
                foreach ($mine as $group) {
                    $sources[$group->id] = new SumSource(
                        $group->id,
                        $group->name,
                        $group->id,
                        $group->name,
                        $group->mark,
                    );
                }
                continue;
            }
            foreach ($mine as $group) {
                foreach (null === $copy->studentId ? $group->students : [$copy->studentId] as $student) {
                    $sources[$student] = $this->student($student, $group);
                }
            }
        }
        foreach ($given as $id) {
            $sources[$id] ??= $this->student($id, null);
        }
        $order = array_flip(array_map(static fn (Group $group): string => $group->id, $groups));
        uasort(
            $sources,
            static fn (SumSource $one, SumSource $other): int => ($order[$one->group ?? ''] ?? \PHP_INT_MAX)
                <=> ($order[$other->group ?? ''] ?? \PHP_INT_MAX),
        );

        return array_values($sources);
    }

    private function student(string $id, ?Group $group): SumSource
    {
        return new SumSource(
            $id,
            $this->em->find(Student::class, $id)->name ?? '',
            $group?->id,
            $group->name ?? '',
            $group?->mark,
        );
    }
}
