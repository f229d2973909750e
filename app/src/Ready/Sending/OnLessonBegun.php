<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\LessonBegun;
use FreshHuddle\App\Lesson\Round\Round;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A lesson begun from another sends what that one sent, of its own: the same unit, counted or not, and due as long
 * after it as it was there.
 */
#[AsEventListener]
final readonly class OnLessonBegun
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function __invoke(LessonBegun $event): void
    {
        foreach ($event->rounds as $was => $newRound) {
            $from = $this->em->find(DeliverySettings::class, $was);
            $round = $this->em->find(Round::class, $newRound);
            // Practice reaches nobody.
            if (null === $from || null === $round || $round->lesson->class->isPractice) {
                continue;
            }
            $sending = new DeliverySettings($round);
            [$sending->posts, $sending->letters, $sending->unit, $sending->counted, $sending->zone] = [
                $from->posts,
                $from->letters,
                $from->unit,
                $from->counted,
                $from->zone,
            ];
            $before = $from->round->lesson->startsAt;
            $now = $round->lesson->startsAt;
            $sending->dueAt =
                null === $from->dueAt || null === $before || null === $now
                    ? $from->dueAt
                    : $from->dueAt + (int) $now->format('Uv') - (int) $before->format('Uv');
            $this->em->persist($sending);
        }
        $this->em->flush();
    }
}
