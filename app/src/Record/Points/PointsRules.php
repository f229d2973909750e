<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Points;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Record\Exception\UnusablePoints;
use FreshHuddle\Core\Record\Points\PointsPart;
use FreshHuddle\Core\Record\Points\PointsRule;

/**
 * Keeps the rule of a class. It counts for all its lessons, past ones too: points are worked out when they are asked
 * for.
 */
final readonly class PointsRules
{
    public function __construct(private EntityManagerInterface $em, private Transaction $transaction)
    {
    }

    public function ofClass(SchoolClass $class): PointsRule
    {
        return $this->em->find(ClassPoints::class, $class->id)?->rule() ?? new PointsRule();
    }

    /**
     * @throws RecordRefused at the part that cannot be
     */
    public function state(SchoolClass $class, StatePoints $request): void
    {
        $parts = [];
        foreach ($request->parts as $i => $part) {
            try {
                $parts[] = new PointsPart($part->kind, $part->atLeast, $part->points);
            } catch (UnusablePoints $e) {
                throw RecordRefused::because($e->says, "parts.{$i}.{$e->field}");
            }
        }
        try {
            $rule = new PointsRule($parts);
        } catch (UnusablePoints $e) {
            throw RecordRefused::because($e->says, $e->field);
        }
        $this->transaction->run(function () use ($class, $rule): void {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $kept = $this->em->find(ClassPoints::class, $class->id);
            if (null === $kept) {
                $kept = new ClassPoints($class);
                $this->em->persist($kept);
            }
            $kept->take($rule);
        });
    }
}
