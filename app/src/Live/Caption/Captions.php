<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Caption;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Live\Admission\ExpectedPlaces;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Rooms\RoomFinder;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;

/**
 * What is said in rooms of our own, typed by the staff, while a lesson is on.
 */
final readonly class Captions
{
    /** Lines of a room that somebody who comes later can still read. */
    private const KEPT = 30;

    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private RoomFinder $rooms,
        private ExpectedPlaces $places,
        private Stream $stream,
        private Clock $clock,
    ) {
    }

    /**
     * @param string $place `main`, or the id of a group or a side room
     *
     * @return list<CaptionView> the last lines of a room, the oldest first
     */
    public function at(string $lessonId, string $place): array
    {
        $last = $this->em
            ->getRepository(Caption::class)
            ->findBy(['lesson' => $lessonId, 'place' => $place], ['id' => 'DESC'], self::KEPT);

        return array_map(self::view(...), array_reverse($last));
    }

    /**
     * A line more: those who belong there now read it. One who has gone by mistake reads it all the same.
     *
     * @throws LiveRefused if the lesson is over, or not the one its class is in, or nobody has a room there
     */
    public function say(Lesson $lesson, string $place, string $text): void
    {
        $this->transaction->run(function () use ($lesson, $place, $text): void {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_READ);
            if (null !== $lesson->endedAt || $lesson->class->currentLessonId !== $lesson->id) {
                throw LiveRefused::unusable('live.lesson_is_over');
            }
            if (true !== $this->rooms->atPlace($lesson->class, $place)?->source->isHere()) {
                throw LiveRefused::missing('live.no_such_place');
            }
            $caption = new Caption($lesson, $place, trim($text), $this->clock->ms());
            $this->em->persist($caption);
            $this->em->flush();
            $this->dropOld($lesson, $place);
            $this->stream->publish(
                [Audience::staff($lesson->id), ...$this->places->audience($lesson, $place)],
                new CaptionMessage($place, self::view($caption)),
            );
        });
    }

    /**
     * The lesson is over: what was said in it stays with those who heard it. The caller flushes.
     */
    public function forget(Lesson $lesson): void
    {
        $this->em
            ->createQuery('DELETE FROM '.Caption::class.' c WHERE c.lesson = ?1')
            ->setParameter(1, $lesson)
            ->execute();
    }

    private function dropOld(Lesson $lesson, string $place): void
    {
        $lines = $this->em
            ->getRepository(Caption::class)
            ->findBy(['lesson' => $lesson, 'place' => $place], ['id' => 'DESC'], null, self::KEPT);
        array_walk($lines, $this->em->remove(...));
    }

    private static function view(Caption $caption): CaptionView
    {
        return new CaptionView($caption->id, $caption->text, $caption->at);
    }
}
