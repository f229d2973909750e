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
use FreshHuddle\Core\Debrief\Sum\SlotSums;
use FreshHuddle\Core\Debrief\Sum\SourceAnswer;
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
            : self::view(
                $question,
                $question->shown
                    ? $this->sum(
                        $question,
                        $this->answers->all($question->id),
                        $this->present->inLesson($lessonId),
                    )->forAll(false, false)
                    : null,
            );
    }

    /**
     * Whether the class sees what was answered to the last question.
     */
    public function showsAnswers(string $lessonId): bool
    {
        return true === $this->last($lessonId)?->shown;
    }

    public function forStaff(Lesson $lesson): ?AskedView
    {
        $question = $this->last($lesson->id);
        if (null === $question) {
            return null;
        }
        $given = $this->answers->all($question->id);
        $present = $this->present->inLesson($lesson->id);
        $missing = null === $question->closedAt ? array_diff($present, array_column($given, 'source')) : [];

        return new AskedView(
            self::view($question, $this->sum($question, $given, $present)),
            $question->shown,
            array_values($missing),
            null !== $question->exit,
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

    /**
     * @param list<SourceAnswer> $given
     * @param list<string>       $present students
     */
    private function sum(QuickQuestion $question, array $given, array $present): SumView
    {
        $block = $question->question()->block('question');
        $sum = (SlotSums::forKind($block->kind) ?? throw new \LogicException('Every question is summed up.'))->sum(
            $block,
            $given,
        );
        // In one query; find() takes them from memory.
        $this->em->getRepository(Student::class)->findBy(['class' => $question->lesson->class]);
        $sources = array_map(
            fn (SourceAnswer $one): SumSource => new SumSource(
                $one->source,
                $this->em->find(Student::class, $one->source)->name ?? '',
                null,
                '',
                null,
            ),
            $given,
        );
        $place = array_flip(array_column($given, 'source'));

        return new SumView(
            '',
            '',
            '',
            BlockView::fromBlock($block),
            $sum->shape,
            \count($given),
            \count(array_unique([...$present, ...array_keys($place)])),
            array_map(
                static fn (Tally $tally): TallyView => TallyView::fromTally($tally, $place),
                $sum->tallies,
            ),
            $sources,
            [],
            0,
            0,
        );
    }
}
