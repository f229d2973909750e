<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\History;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * Groups a class has sat in before it came here. Written by EarlierHistory.
 */
#[ORM\Entity]
class EarlierGroups
{
    /**
     * @param list<list<string>>          $groups students of each
     * @param list<array{string, string}> $roles  student, role
     */
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE')]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 80)]
        public readonly string $name,
        /** Title of the lesson. */
        #[ORM\Column(length: 120)]
        public readonly string $lesson,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
        #[ORM\Column(name: 'groups_then', type: 'json', options: ['jsonb' => true])]
        public readonly array $groups,
        #[ORM\Column(name: 'roles_then', type: 'json', options: ['jsonb' => true])]
        public readonly array $roles,
    ) {
    }
}
