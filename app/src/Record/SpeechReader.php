<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Live\Speech\Spoken;
use FreshHuddle\Core\Record\Fact\SpeechFact;

/**
 * How long students spoke in a lesson.
 */
final readonly class SpeechReader
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param array<string, true> $students whose speech counts
     *
     * @return list<SpeechFact>
     */
    public function read(Lesson $lesson, array $students): array
    {
        $speech = [];
        $all = $this->em
            ->getRepository(Spoken::class)
            ->findBy(['lesson' => $lesson], ['student' => 'ASC', 'place' => 'ASC']);
        foreach ($all as $one) {
            if (isset($students[$one->student->id])) {
                $speech[] = new SpeechFact($one->student->id, $one->place, $one->milliseconds);
            }
        }

        return $speech;
    }
}
