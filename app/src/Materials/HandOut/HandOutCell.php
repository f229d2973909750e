<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * A cell of the hand-out plan: what a group of a round gets of an original; without a group, what all get of which
 * nothing else is said; with a value of an attribute, the variant of the students of whom the class list says it.
 * Written by HandOutPlan.
 */
#[ORM\Entity]
#[ORM\Table(name: 'hand_out')]
#[ORM\UniqueConstraint(
    name: 'hand_out_group',
    columns: ['round_id', 'original_id', 'group_id'],
    options: ['where' => '(group_id IS NOT NULL)'],
),]
#[ORM\UniqueConstraint(
    name: 'hand_out_all',
    columns: ['round_id', 'original_id'],
    options: ['where' => '((group_id IS NULL) AND (attribute IS NULL))'],
),]
#[ORM\UniqueConstraint(
    name: 'hand_out_value',
    columns: ['round_id', 'original_id', 'attribute', 'value'],
    options: ['where' => '(attribute IS NOT NULL)'],
),]
class HandOutCell
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly StoredOriginal $original,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'group_id', onDelete: 'CASCADE')]
        public readonly ?WorkGroup $group,
        #[ORM\Column(length: 10, enumType: HandOutWay::class)]
        public readonly HandOutWay $way,
        /** A variant of the original; '' for its plain form. */
        #[ORM\Column(length: 40)]
        public readonly string $variant,
        /** Of the row in the plan, from 0. */
        #[ORM\Column]
        public readonly int $position,
        /** An attribute of students, and a value of it as text. */
        #[ORM\Column(length: 60, nullable: true)]
        public readonly ?string $attribute = null,
        #[ORM\Column(length: 120, nullable: true)]
        public readonly ?string $value = null,
        /** The segment it opens with, in which everybody works alone; null: it opens with its round. */
        #[ORM\ManyToOne,
            ORM\JoinColumn(name: 'opens_with_id', nullable: true, onDelete: 'CASCADE'),]
        public readonly ?Segment $opensWith = null,
    ) {
    }
}
