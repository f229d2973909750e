<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * A copy of an original for a round: of a group, of a student, or (neither) of the class, with the pages as they were
 * when it was made. Written by CopyStore.
 *
 * @phpstan-import-type Json from Pages
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(
    name: 'work_copy_group',
    columns: ['round_id', 'original_id', 'group_id'],
    options: ['where' => '(group_id IS NOT NULL)'],
),]
#[ORM\UniqueConstraint(
    name: 'work_copy_student',
    columns: ['round_id', 'original_id', 'student_id'],
    options: ['where' => '(student_id IS NOT NULL)'],
),]
#[ORM\UniqueConstraint(
    name: 'work_copy_class',
    columns: ['round_id', 'original_id'],
    options: ['where' => '((group_id IS NULL) AND (student_id IS NULL))'],
),]
class WorkCopy
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly StoredOriginal $original,
        #[ORM\Column]
        public readonly int $originalVersion,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'group_id')]
        public readonly ?WorkGroup $group,
        #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        public readonly ?Student $student,
        #[ORM\Column(length: 10, enumType: HandOutWay::class)]
        public readonly HandOutWay $way,
        #[ORM\Column(length: 40)]
        public readonly string $variant,
        #[ORM\Column(length: 500)]
        public readonly string $name,
        #[ORM\Column(length: 120)]
        public readonly string $title,
        /** @var list<Json> read through Pages */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $pages,
    ) {
    }
}
