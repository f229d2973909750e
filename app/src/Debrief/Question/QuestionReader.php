<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Debrief\Calling\PresentStudents;
use FreshHuddle\App\Debrief\Sum\SumSource;
use FreshHuddle\App\Debrief\Sum\SumView;
use FreshHuddle\App\Debrief\Sum\TallyView;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Materials\Cupboard\BlockView;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Debrief\Sum\Given;
use FreshHuddle\Core\Debrief\Sum\SlotSums;
use FreshHuddle\Core\Debrief\Sum\Tally;

/**
 * Quick questions with what was answered.
 */
final readonly class QuestionReader
{
    public function __construct(
        private EntityManagerInterface $em,
        private AnswerStore $answers,
        private PresentStudents $present,
    ) {
    }

    /**
     * @return QuickQuestion|null the last one that was asked in a lesson
     */
    public function last(string $lessonId): ?QuickQuestion
    {
        return $this->em->getRepository(QuickQuestion::class)->findOneBy(['lesson' => $lessonId], ['number' => 'DESC']);
    }

    /**
     * As everybody sees it; null where there is none to see.
     */
    public function forAll(string $lessonId): ?QuestionView
    {
        $question = $this->last($lessonId);

        return null === $question || (null !== $question->closedAt && !$question->shown)
            ? null
            : self::view($question, $question->shown ? $this->sum($question)->forAll(false, false) : null);
    }

    public function forStaff(Lesson $lesson): ?AskedView
    {
        $question = $this->last($lesson->id);
        if (null === $question) {
            return null;
        }
        $answered = array_map(static fn (Given $one): string => $one->source, $this->answers->all($question->id));
        $missing = null === $question->closedAt ? array_diff($this->present->inLesson($lesson->id), $answered) : [];

        return new AskedView(
            self::view($question, $this->sum($question)),
            $question->shown,
            array_values($missing),
        );
    }

    private static function view(QuickQuestion $question, ?SumView $sum): QuestionView
    {
        return new QuestionView(
            $question->id,
            $question->kind,
            $question->text,
            $question->choices,
            null === $question->closedAt,
            $sum,
        );
    }

    private function sum(QuickQuestion $question): SumView
    {
        $given = $this->answers->all($question->id);
        $block = $question->question()->block('question');
        $sum = (SlotSums::forKind($block->kind) ?? throw new \LogicException('Every question is summed up.'))->sum(
            $block,
            $given,
        );
        $sources = array_map(
            fn (Given $one): SumSource => new SumSource(
                $one->source,
                $this->em->find(Student::class, $one->source)->name ?? '',
                null,
                '',
                null,
            ),
            $given,
        );
        $place = array_flip(array_map(static fn (Given $one): string => $one->source, $given));
        $present = $this->present->inLesson($question->lesson->id);

        return new SumView(
            '',
            '',
            '',
            BlockView::fromBlock($block),
            $sum->shape,
            \count($given),
            \count(array_unique([...$present, ...array_keys($place)])),
            array_map(
                static fn (Tally $tally): TallyView => new TallyView(
                    $tally->item,
                    $tally->under,
                    $tally->text,
                    \count($tally->sources),
                    array_map(static fn (string $source): int => $place[$source], $tally->sources),
                    null,
                ),
                $sum->tallies,
            ),
            $sources,
            [],
            0,
            0,
        );
    }
}
