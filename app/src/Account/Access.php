<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;

/**
 * Finds what belongs to a teacher. What belongs to another is not found, as if it were not there.
 */
final readonly class Access
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @throws Problem 404
     */
    public function schoolClass(Teacher $teacher, string $id): SchoolClass
    {
        $query = $this->em->createQueryBuilder()->select('c')->from(SchoolClass::class, 'c');

        return $this->one(SchoolClass::class, $query, 'c', $teacher, $id);
    }

    /**
     * @throws Problem 404
     */
    public function student(Teacher $teacher, string $id): Student
    {
        $query = $this->em->createQueryBuilder()->select('s', 'c')->from(Student::class, 's')->join('s.class', 'c');

        return $this->one(Student::class, $query, 's', $teacher, $id);
    }

    /**
     * @throws Problem 404
     */
    public function lesson(Teacher $teacher, string $id): Lesson
    {
        $query = $this->em->createQueryBuilder()->select('l', 'c')->from(Lesson::class, 'l')->join('l.class', 'c');

        return $this->one(Lesson::class, $query, 'l', $teacher, $id);
    }

    /**
     * @throws Problem 404
     */
    public function round(Teacher $teacher, string $id): Round
    {
        $query = $this->em->createQueryBuilder()->select('r', 'l', 'c')->from(Round::class, 'r')->join('r.lesson', 'l')->join('l.class', 'c');

        return $this->one(Round::class, $query, 'r', $teacher, $id);
    }

    /**
     * @throws Problem 404
     */
    public function grouping(Teacher $teacher, string $id): Grouping
    {
        $query = $this->em->createQueryBuilder()->select('g', 'c')->from(Grouping::class, 'g')->join('g.class', 'c');

        return $this->one(Grouping::class, $query, 'g', $teacher, $id);
    }

    /**
     * @throws Problem 404
     */
    public function room(Teacher $teacher, string $id): Room
    {
        $query = $this->em->createQueryBuilder()->select('r', 'c')->from(Room::class, 'r')->join('r.class', 'c');

        return $this->one(Room::class, $query, 'r', $teacher, $id);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $type
     *
     * @return T
     */
    private function one(string $type, QueryBuilder $query, string $alias, Teacher $teacher, string $id): object
    {
        $found = $query->andWhere($alias.'.id = :id')->andWhere('c.teacher = :teacher')
            ->setParameter('id', $id)->setParameter('teacher', $teacher)
            ->getQuery()->getOneOrNullResult();

        return $found instanceof $type ? $found : throw Problem::notFound();
    }
}
