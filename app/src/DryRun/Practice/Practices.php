<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\DryRun\Exception\DryRunRefused;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Erasure\Erasure;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Worker\PurgesExpired;
use Symfony\Component\Uid\Uuid;

/**
 * The lessons that are being practised: each a double of a real one, in a double of its class, which goes when the
 * practice is over.
 */
final readonly class Practices implements PurgesExpired
{
    /** Left open, a practice goes after so many milliseconds. */
    private const LASTS = 6 * 3_600_000;

    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private PracticeMaker $maker,
        private Erasure $erasure,
        private Clock $clock,
    ) {
    }

    /**
     * Begins to practise a lesson, or goes on with it; another practice of this teacher is over.
     */
    public function begin(Teacher $teacher, Lesson $lesson): DryRun
    {
        foreach ($this->em->getRepository(DryRun::class)->findBy(['teacher' => $teacher]) as $other) {
            if ($other->lesson !== $lesson || null !== $other->practice->endedAt) {
                $this->leave($other);
            }
        }
        // What has gone with it may not be held on to by what is there.
        [$teacherId, $lessonId] = [$teacher->id, $lesson->id];
        $this->em->clear();

        return $this->transaction->run(function () use ($teacherId, $lessonId): DryRun {
            // Two presses at once make one practice.
            $teacher = $this->em->find(Teacher::class, $teacherId, LockMode::PESSIMISTIC_WRITE);
            $lesson = $this->em->find(Lesson::class, $lessonId);
            if (null === $teacher || null === $lesson) {
                throw DryRunRefused::missing();
            }
            $there = $this->em->getRepository(DryRun::class)->findOneBy(['teacher' => $teacher, 'lesson' => $lesson]);
            if (null !== $there) {
                return $there;
            }
            $dryRun = new DryRun(
                Uuid::v7()->toRfc4122(),
                $lesson,
                $this->maker->double($lesson, $teacher),
                $teacher,
                random_int(1, 1_000_000),
                $this->clock->ms(),
            );
            $this->em->persist($dryRun);
            $this->em->flush();

            return $dryRun;
        });
    }

    /**
     * The practice that a lesson is; null where it is a real one.
     */
    public function of(Lesson $practice): ?DryRun
    {
        return $this->em->getRepository(DryRun::class)->findOneBy(['practice' => $practice]);
    }

    /** Everything in it is erased. */
    public function leave(DryRun $dryRun): void
    {
        $this->transaction->run(function () use ($dryRun): void {
            $class = $dryRun->practice->class;
            $this->em->remove($dryRun);
            $this->em->flush();
            $this->erasure->eraseClass($class);
        });
    }

    /**
     * The doubles of a class, by their ids: they bear its students' names.
     *
     * @return list<string>
     */
    public function doublesOf(string $classId): array
    {
        $ids = $this->em
            ->createQuery(
                'SELECT c.id FROM '.
                    DryRun::class.
                    ' d JOIN d.practice p JOIN p.class c JOIN d.lesson l WHERE l.class = ?1',
            )
            ->setParameter(1, $classId)
            ->getSingleColumnResult();

        return array_values(array_filter($ids, \is_string(...)));
    }

    /** A double goes, whether anybody practises in it or not. */
    public function eraseDouble(string $classId): void
    {
        $class = $this->em->find(SchoolClass::class, $classId);
        if (null !== $class && $class->isPractice) {
            $this->erasure->eraseClass($class);
        }
    }

    public function forgetOld(): void
    {
        $old = $this->em
            ->createQuery(
                'SELECT c.id FROM '.
                    SchoolClass::class.
                    ' c WHERE c.isPractice = true AND NOT EXISTS (SELECT d.id FROM '.
                    DryRun::class.
                    ' d JOIN d.practice p WHERE p.class = c AND d.beganAt >= ?1)',
            )
            ->setParameter(1, $this->clock->ms() - self::LASTS)
            ->setMaxResults(100)
            ->getSingleColumnResult();
        foreach (array_filter($old, \is_string(...)) as $classId) {
            $this->eraseDouble($classId);
        }
    }
}
