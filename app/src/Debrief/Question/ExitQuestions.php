<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Debrief\DebriefChanger;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\ChangeOrder;
use FreshHuddle\App\Lesson\Order\OrderedSegment;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Materials\Cupboard\BlockView;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\Cupboard\SaveOriginal;
use FreshHuddle\App\Materials\HandOut\HandOutService;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Message;

/**
 * Makes exit questions of quick ones: a worksheet that everybody answers alone, in the next part of the lesson that is
 * for that, or in a new one.
 */
final readonly class ExitQuestions
{
    /** Minutes of a new part. */
    private const MINUTES = 5;
    private const LONGEST_TITLE = 120;

    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private DebriefChanger $changer,
        private RunningOrders $orders,
        private Cupboard $cupboard,
        private HandOutPlan $plan,
        private HandOutService $handOuts,
        private Words $words,
    ) {
    }

    /**
     * @throws DebriefRefused if the lesson has no such question
     */
    public function make(Teacher $teacher, Lesson $lesson, string $id): void
    {
        $segment = $this->transaction->run(function () use ($teacher, $lesson, $id): ?Segment {
            $this->changer->hold($lesson);
            if (null !== $lesson->endedAt) {
                throw DebriefRefused::unusable('live.lesson_is_over');
            }
            $question = $this->em->find(QuickQuestion::class, $id);
            if ($question?->lesson !== $lesson) {
                throw DebriefRefused::missing();
            }
            if (null !== $question->exit) {
                return null;
            }
            $title = $this->words->say(new Message('debrief.question.exit_title', ['text' => $question->text]));
            $segment = $this->segment($lesson);
            $question->exit = $this->cupboard->add(
                $teacher,
                new SaveOriginal(mb_substr($title, 0, self::LONGEST_TITLE), 0, [
                    new PageView('page-1', '', [BlockView::fromBlock($question->question()->block('question'))]),
                ]),
            );
            $this->plan->giveAlone($teacher, $segment, $question->exit->id);

            return $segment;
        });
        if (null !== $segment && $lesson->segment === $segment) {
            $this->handOuts->makeAlone($segment);
        }
    }

    /**
     * @return Segment the part in which everybody works alone that comes next, or is now
     */
    private function segment(Lesson $lesson): Segment
    {
        $now = $lesson->segment->position ?? 0;
        $order = [];
        $place = null;
        foreach ($this->orders->segments($lesson) as $i => $segment) {
            $order[] = new OrderedSegment($segment->kind, $segment->minutes, $segment->id);
            if ($i >= $now && SegmentKind::Alone === $segment->kind) {
                return $segment;
            }
            if ($i === $now) {
                $order[] = new OrderedSegment(SegmentKind::Alone, self::MINUTES);
                $place = \count($order) - 1;
            }
        }
        $this->orders->change($lesson, new ChangeOrder($this->orders->view($lesson)->step, $order));
        $made = $this->orders->segments($lesson, true)[$place ?? \count($order) - 1] ?? null;

        return $made ?? throw DebriefRefused::missing();
    }
}
