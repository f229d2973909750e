<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\LessonBegun;
use FreshHuddle\App\Lesson\Round;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Uid\Uuid;

/**
 * A lesson begun from another has its originals too; what was written stays where it is.
 */
#[AsEventListener]
final readonly class OnLessonBegun
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function __invoke(LessonBegun $event): void
    {
        foreach ($event->rounds as $was => $is) {
            $original = $this->em->getRepository(Master::class)->findOneBy(['round' => $was]);
            $round = $this->em->find(Round::class, $is);
            if (null !== $original && null !== $round) {
                $this->em->persist(new Master(Uuid::v7()->toRfc4122(), $round, $original->title, $original->blocks, 1));
            }
        }
        $this->em->flush();
    }
}
