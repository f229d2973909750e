<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use Doctrine\ORM\QueryBuilder;
use FreshHuddle\App\Http\Problem;

/**
 * Finds what belongs to a teacher. What belongs to another is not found, as if it were not there.
 */
final class Owned
{
    /**
     * @template T of object
     *
     * @param class-string<T> $type
     * @param QueryBuilder    $query of the thing under an alias, joined to its class as `c`
     *
     * @return T
     *
     * @throws Problem 404
     */
    public static function one(string $type, QueryBuilder $query, string $alias, Teacher $teacher, string $id): object
    {
        $found = $query->andWhere($alias.'.id = :id')->andWhere('c.teacher = :teacher')
            ->setParameter('id', $id)->setParameter('teacher', $teacher)
            ->getQuery()->getOneOrNullResult();

        return $found instanceof $type ? $found : throw Problem::notFound();
    }
}
