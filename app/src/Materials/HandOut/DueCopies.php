<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Materials\CopyDue;
use FreshHuddle\Core\Materials\HandOutRow;

/**
 * The copies a row of the plan wants for the tables as they are.
 */
final readonly class DueCopies
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param string|null $only of this student's group alone; null: of all
     *
     * @return list<CopyDue>
     */
    public function of(HandOutRow $row, Floor $floor, ?string $only = null): array
    {
        $groups = [];
        foreach ($floor->groups as $group) {
            if (null === $only || \in_array($only, $group->students, true)) {
                $groups[$group->id] = $group->students;
            }
        }

        return $row->copies($groups, null === $row->by ? [] : $this->said(array_merge(...array_values($groups), ...[[]])));
    }

    /**
     * @param list<string> $students
     *
     * @return array<string, array<array-key, int|float|string>>
     */
    private function said(array $students): array
    {
        $said = [];
        foreach ($this->em->getRepository(Student::class)->findBy(['id' => $students]) as $student) {
            $said[$student->id] = $student->attributes;
        }

        return $said;
    }
}
