<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Student;

/**
 * Who would like to be with whom: a should, kept where the musts are kept. All that one student wishes is one wish, to
 * be with one of those named.
 */
final readonly class Wishes
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @return array<string, list<string>> student id => ids of those wished for, in the order of the list; of students
     *     who are on it
     */
    public function forClass(string $classId): array
    {
        /** @var list<array{student: string, wishedFor: string}> $rows */
        $rows = $this->em
            ->createQueryBuilder()
            ->select('s.id AS student', 'o.id AS wishedFor')
            ->from(Wish::class, 'w')
            ->join('w.student', 's')
            ->join('w.wishedFor', 'o')
            ->where('s.class = :class')
            ->andWhere('s.removedAt IS NULL')
            ->andWhere('o.removedAt IS NULL')
            ->setParameter('class', $classId)
            ->orderBy('s.position')
            ->addOrderBy('o.position')
            ->getQuery()
            ->getArrayResult();
        $wishes = [];
        foreach ($rows as $row) {
            $wishes[$row['student']][] = $row['wishedFor'];
        }

        return $wishes;
    }

    /**
     * Those named come to what the student wishes already.
     *
     * @param list<Student> $wishedFor
     *
     * @throws RosterRefused if they wish for all of them already
     */
    public function add(Student $student, array $wishedFor): void
    {
        $new = array_filter(
            $wishedFor,
            fn (Student $other): bool => null ===
                $this->em->find(Wish::class, ['student' => $student, 'wishedFor' => $other]),
        );
        if ([] === $new) {
            throw RosterRefused::unusable('roster.rule.twice', 'students');
        }
        foreach ($new as $wished) {
            $this->em->persist(new Wish($student, $wished));
        }
        $this->em->flush();
    }

    public function drop(Student $student): void
    {
        foreach ($this->em->getRepository(Wish::class)->findBy(['student' => $student]) as $wish) {
            $this->em->remove($wish);
        }
        $this->em->flush();
    }
}
