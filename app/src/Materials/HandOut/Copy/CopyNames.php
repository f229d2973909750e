<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Materials\CopyDue;
use FreshHuddle\Core\Materials\CopyName;

/**
 * What a copy is called: by its class, its group or its student, and its worksheet.
 */
final readonly class CopyNames
{
    public function __construct(
        private EntityManagerInterface $em,
    ) {
    }

    public function build(Round $round, Floor $floor, CopyDue $due, string $title): string
    {
        $class = $round->lesson->class->name;
        foreach ($floor->groups as $i => $group) {
            if ($group->id === $due->group) {
                return CopyName::for($class, $i + 1, \count($floor->groups), $group->name, $title);
            }
        }

        return CopyName::ofOne(
            $class,
            null === $due->student ? null : $this->em->find(Student::class, $due->student)?->name,
            $title,
        );
    }
}
