<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Lesson;

/**
 * The worksheets of a lesson that everybody works on alone.
 */
final readonly class AloneReader
{
    public function __construct(
        private EntityManagerInterface $em,
    ) {
    }

    /**
     * @return list<AloneWork> in the order of the running order
     */
    public function forLesson(Lesson $lesson): array
    {
        /** @var list<HandOutCell> $cells */
        $cells = $this->em
            ->createQueryBuilder()
            ->select('h', 's', 'r', 'o')
            ->from(HandOutCell::class, 'h')
            ->join('h.opensWith', 's')
            ->join('h.round', 'r')
            ->join('h.original', 'o')
            ->where('s.lesson = :lesson AND s.position IS NOT NULL AND h.group IS NULL AND h.attribute IS NULL')
            ->setParameter('lesson', $lesson)
            ->orderBy('s.position')
            ->addOrderBy('h.position')
            ->getQuery()
            ->getResult();
        $work = [];
        foreach ($cells as $cell) {
            $work[] = new AloneWork(
                $cell->opensWith->id ?? '',
                $cell->original->id,
                $cell->original->title,
                $cell->round->id,
                $cell->round->segment->id,
            );
        }

        return $work;
    }
}
