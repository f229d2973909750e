<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Correction;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Record\Correction\Correction;
use FreshHuddle\Core\Record\Correction\Corrections;

/**
 * Corrects figures by hand.
 */
final readonly class FigureCorrections
{
    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private Clock $clock,
    ) {
    }

    public function ofLesson(Lesson $lesson): Corrections
    {
        /** @var list<FigureCorrection> $all */
        $all = $this->em->createQueryBuilder()
            ->select('c', 's', 't')
            ->from(FigureCorrection::class, 'c')
            ->join('c.student', 's')
            ->join('c.teacher', 't')
            ->where('c.lesson = :lesson')
            ->orderBy('c.at')
            ->setParameter('lesson', $lesson)
            ->getQuery()
            ->getResult();

        return new Corrections(
            array_map(static fn (FigureCorrection $one): Correction => $one->correction(), $all),
        );
    }

    /**
     * Those that came with a lesson of a class that has moved in; whoever opened it answers for them.
     *
     * @param array<string, Student> $students
     * @param list<Correction>       $corrections
     */
    public function moveIn(Lesson $lesson, Teacher $teacher, array $students, array $corrections): void
    {
        $known = [];
        foreach ($students as $student) {
            $known[$student->id] = $student;
        }
        $kept = [];
        foreach ($corrections as $one) {
            if (isset($known[$one->student])) {
                $kept[$one->student.$one->figure->value] = new FigureCorrection(
                    $lesson,
                    $known[$one->student],
                    $one->figure,
                    $one->value,
                    $teacher,
                    $one->at,
                );
            }
        }
        array_map($this->em->persist(...), $kept);
        $this->em->flush();
    }

    /**
     * @throws RecordRefused if no such student is in the class, or no such figure can be
     */
    public function correct(Lesson $lesson, Teacher $teacher, CorrectFigure $request): void
    {
        if (null === $lesson->begunAt) {
            throw RecordRefused::missing('record.not_begun');
        }
        $most = $request->figure->most();
        if (null !== $request->value && ($request->value < 0 || $request->value > $most)) {
            throw RecordRefused::unusable('record.correction.value', 'value', ['most' => $most]);
        }
        $this->transaction->run(function () use ($lesson, $teacher, $request): void {
            $this->em->lock($lesson, LockMode::PESSIMISTIC_WRITE);
            $student = $this->em->find(Student::class, $request->student);
            if ($student?->class !== $lesson->class) {
                throw RecordRefused::missing('record.correction.student');
            }
            $old = $this->em->getRepository(FigureCorrection::class)->findOneBy([
                'lesson' => $lesson,
                'student' => $student,
                'figure' => $request->figure,
            ]);
            if (null === $request->value) {
                if (null !== $old) {
                    $this->em->remove($old);
                }

                return;
            }
            $now = $this->clock->ms();
            if (null === $old) {
                $this->em->persist(
                    new FigureCorrection($lesson, $student, $request->figure, $request->value, $teacher, $now),
                );
            } else {
                [$old->value, $old->teacher, $old->at] = [$request->value, $teacher, $now];
            }
        });
    }
}
