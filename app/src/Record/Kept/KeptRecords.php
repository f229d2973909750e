<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Kept;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\Core\Record\Facts;
use FreshHuddle\Core\Record\Format\RecordFile;
use FreshHuddle\Core\Record\Format\RecordFormat;

/**
 * Records that came with a class.
 */
final readonly class KeptRecords
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * Only what was understood is kept.
     */
    public function keep(Lesson $lesson, RecordFile $file): void
    {
        $this->em->persist(
            new KeptRecord($lesson, [
                'format' => RecordFormat::NAME,
                'version' => RecordFormat::VERSION,
                'title' => $file->title,
                'begunAt' => $file->facts->begunAt,
                'endedAt' => $file->facts->endedAt,
                'facts' => RecordFormat::facts($file->facts),
                'corrections' => [],
                'pointsRule' => [],
            ]),
        );
        $this->em->flush();
    }

    /**
     * @return Facts|null null where the lesson was held here
     */
    public function facts(string $lessonId): ?Facts
    {
        $kept = $this->em->find(KeptRecord::class, $lessonId);

        return null === $kept ? null : RecordFile::read($kept->file)->facts;
    }

    /**
     * @param list<string> $lessons ids
     *
     * @return array<string, Facts> of those among them that were held elsewhere, by lesson
     */
    public function among(array $lessons): array
    {
        $facts = [];
        foreach ($this->em->getRepository(KeptRecord::class)->findBy(['lesson' => $lessons]) as $kept) {
            $facts[$kept->lesson->id] = RecordFile::read($kept->file)->facts;
        }

        return $facts;
    }
}
