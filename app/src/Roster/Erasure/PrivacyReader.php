<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;

/**
 * What is kept of a class, and how long.
 */
final readonly class PrivacyReader
{
    public function __construct(private EntityManagerInterface $em, private ClassEnds $ends)
    {
    }

    public function view(SchoolClass $class): PrivacyView
    {
        $former = [];
        foreach (
            $this->em->getRepository(Student::class)->findBy(['class' => $class], ['removedAt' => 'DESC']) as $student
        ) {
            if (null !== $student->removedAt) {
                $former[] = new FormerStudent(
                    $student->id,
                    $student->name,
                    1_000 * $student->removedAt->getTimestamp(),
                );
            }
        }

        return new PrivacyView(
            $class->endsOn?->format('Y-m-d'),
            $class->endAnnouncedAt,
            $this->ends->earliest()->format('Y-m-d'),
            $former,
        );
    }
}
