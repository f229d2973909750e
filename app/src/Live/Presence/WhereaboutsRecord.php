<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * Notes where students are whenever that changes, while a lesson is on, and tells staff.
 */
final readonly class WhereaboutsRecord
{
    /** So many are noted in one go: a press waits while a lesson is held. */
    private const TOGETHER = 100;

    public function __construct(
        private WhereaboutsReader $reader,
        private PresenceStore $presence,
        private EventStore $events,
        private Stream $stream,
        private Clock $clock,
        private Transaction $transaction,
    ) {
    }

    /**
     * @param string|null $seen what it returned the last time
     *
     * @return string stands for where everybody is
     */
    public function follow(LessonNow $lesson, ?string $seen): string
    {
        $now = $this->clock->ms();
        $whereabouts = $this->reader->inLesson($lesson, $now);
        if (null !== $lesson->kind || Phase::Planned !== $lesson->phase($now)) {
            $events = array_map(
                static fn (string $student): Event => FinalWhereabouts::whereaboutsEvent(
                    $student,
                    $whereabouts[$student],
                    $now,
                ),
                array_map(strval(...), array_keys($whereabouts)),
            );
            foreach (array_chunk($this->news($lesson, $events), self::TOGETHER) as $some) {
                $this->note($lesson, $some);
            }
        }
        $stands = hash('xxh128', implode(' ', array_map(self::word(...), $whereabouts)));
        if ($stands !== $seen) {
            $this->stream->publish([Audience::staff($lesson->lessonId)], new LessonHint());
        }

        return $stands;
    }

    /**
     * @param list<Event> $events
     */
    private function note(LessonNow $lesson, array $events): void
    {
        $this->transaction->run(function () use ($lesson, $events): void {
            $this->events->lock($lesson->lessonId);
            $news = $this->news($lesson, $events); // another worker may have noted them meanwhile
            if ([] !== $news) {
                $this->events->append($lesson->lessonId, $lesson->roundId, Actor::clock(), $news);
            }
        });
    }

    /**
     * @param list<Event> $events
     *
     * @return list<Event> of those who have given a sign and are elsewhere than was noted last
     */
    private function news(LessonNow $lesson, array $events): array
    {
        $noted = $this->presence->noted($lesson->classId, $lesson->lessonId);

        return array_values(
            array_filter($events, static function (Event $event) use ($noted): bool {
                $student = $event->text('student');

                return \array_key_exists($student, $noted)
                    && (null === $noted[$student] || self::where($noted[$student]) !== self::where($event));
            }),
        );
    }

    private static function where(Event $event): string
    {
        return $event->text('place').'|'.$event->text('because').'|'.$event->text('at');
    }

    private static function word(Whereabouts $where): string
    {
        return $where->place->value.'|'.$where->because->value.'|'.$where->at;
    }
}
