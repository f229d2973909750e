<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Points;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Record\Points\PointsKind;
use FreshHuddle\Core\Record\Points\PointsPart;
use FreshHuddle\Core\Record\Points\PointsRule;

/**
 * How points come about in a class. Written by PointsRules.
 */
#[ORM\Entity]
class ClassPoints
{
    /** @var list<array{kind: string, atLeast: int, points: int}> */
    #[ORM\Column(type: 'json', options: ['jsonb' => true])]
    private array $parts = [];

    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE')]
        public readonly SchoolClass $class,
    ) {
    }

    public function rule(): PointsRule
    {
        return new PointsRule(
            array_map(
                static fn (array $part): PointsPart => new PointsPart(
                    PointsKind::from($part['kind']),
                    $part['atLeast'],
                    $part['points'],
                ),
                $this->parts,
            ),
        );
    }

    public function take(PointsRule $rule): void
    {
        $this->parts = array_map(
            static fn (PointsPart $part): array => [
                'kind' => $part->kind->value,
                'atLeast' => $part->atLeast,
                'points' => $part->points,
            ],
            $rule->parts,
        );
    }
}
