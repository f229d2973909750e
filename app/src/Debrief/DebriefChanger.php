<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Debrief\Question\QuestionReader;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;

/**
 * Changes what a class sees while its work is talked about: hold the lesson, change, keep the events, tell everybody.
 */
final readonly class DebriefChanger
{
    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private EventStore $events,
        private ClassDebriefReader $reader,
        private QuestionReader $questions,
        private Stream $stream,
        private Clock $clock,
    ) {
    }

    /**
     * @param callable(Debrief, int): (list<Event>|null) $do with the moment, in milliseconds since 1970: what happened;
     *                                                       null: nothing changes
     *
     * @throws DebriefRefused if the lesson is over, or a template
     */
    public function change(Lesson $lesson, Actor $actor, callable $do): void
    {
        $this->transaction->run(function () use ($lesson, $actor, $do): void {
            $this->hold($lesson);
            if ($lesson->template) {
                throw DebriefRefused::unusable('lesson.template');
            }
            if (null !== $lesson->endedAt) {
                throw DebriefRefused::unusable('live.lesson_is_over');
            }
            $this->apply($lesson, $actor, $do);
        });
    }

    /**
     * Nobody else changes anything in the lesson until the transaction ends.
     */
    public function hold(Lesson $lesson): void
    {
        $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
    }

    /**
     * Something is there for the staff to see, and nothing of it for the class.
     */
    public function hint(Lesson $lesson): void
    {
        $this->stream->publish([Audience::staff($lesson->id)], new DebriefHint(null, $this->find($lesson)->revision));
    }

    /**
     * The same while the lesson is held already, and also as it ends.
     *
     * @param callable(Debrief, int): (list<Event>|null) $do
     */
    public function apply(Lesson $lesson, Actor $actor, callable $do): void
    {
        $debrief = $this->find($lesson);
        $this->em->persist($debrief);
        $events = $do($debrief, $this->clock->ms());
        if (null === $events) {
            return;
        }
        ++$debrief->revision;
        $this->em->flush();
        $seq = [] === $events
            ? null
            : $this->events->append($lesson->id, $lesson->segment?->round?->id, $actor, $events);
        // Students' pages count what concerns them all.
        $isForAll = [] !== array_filter($events, static fn (Event $event): bool => !$event->kind->isQuiet());
        $this->tell($lesson->id, $debrief->revision, $isForAll ? $seq : null);
    }

    /**
     * What is shown has been written on meanwhile, or answered: everybody sees it as it is now.
     *
     * @param bool $isForStaff it is theirs to see, too, where nothing of it is shown to the class
     */
    public function tellAgain(string $lessonId, bool $isForStaff): void
    {
        $debrief = $this->em->find(Debrief::class, $lessonId);
        if (null === $debrief || null !== $debrief->lesson->endedAt) {
            return;
        }
        if ($isForStaff && !$this->questions->showsAnswers($lessonId)) {
            $this->hint($debrief->lesson);

            return;
        }
        $this->change($debrief->lesson, Actor::clock(), static fn (): array => []);
    }

    /**
     * How it stands; where nothing has been talked about yet, as the class is used to it.
     */
    public function find(Lesson $lesson): Debrief
    {
        return $this->em->find(Debrief::class, $lesson->id) ?? Debrief::after($lesson, $this->last($lesson));
    }

    /**
     * Of the class's lesson before.
     */
    private function last(Lesson $lesson): ?Debrief
    {
        $last = $this->em
            ->createQueryBuilder()
            ->select('d')
            ->from(Debrief::class, 'd')
            ->join('d.lesson', 'l')
            ->where('l.class = :class')
            ->orderBy('l.begunAt', 'DESC')
            ->setMaxResults(1)
            ->setParameter('class', $lesson->class)
            ->getQuery()
            ->getOneOrNullResult();

        return $last instanceof Debrief ? $last : null;
    }

    private function tell(string $lessonId, int $revision, ?int $seq): void
    {
        $class = [Audience::everybody($lessonId), Audience::classPage($lessonId)];
        $this->stream->publish($class, new DebriefMessage($seq, $this->reader->forLesson($lessonId)));
        $this->stream->publish([...$class, Audience::staff($lessonId)], new DebriefHint($seq, $revision));
    }
}
