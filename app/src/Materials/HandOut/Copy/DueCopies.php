<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Roster\SchoolClass;
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
     * @param string|null      $only  of this student's group alone; null: of all
     * @param SchoolClass|null $class what everybody does alone, everybody of this class does, with a seat or without
     *
     * @return list<CopyDue>
     */
    public function forHandOut(HandOutRow $row, Floor $floor, ?string $only = null, ?SchoolClass $class = null): array
    {
        $groups = [];
        foreach ($floor->groups as $group) {
            if (null === $only || \in_array($only, $group->students, true)) {
                $groups[$group->id] = $group->students;
            }
        }

        if (null !== $row->opensWith && null !== $class) {
            $groups[''] = array_values(
                array_filter(
                    $this->students($class),
                    static fn (string $id): bool => null === $floor->groupOf($id) && (null === $only || $only === $id),
                ),
            );
        }

        return $row->copies(
            $groups,
            null === $row->by ? [] : $this->attributes(array_merge(...array_values($groups), ...[[]])),
        );
    }

    /**
     * @return list<string> ids of those on the list who take part in lessons
     */
    private function students(SchoolClass $class): array
    {
        $ids = $this->em
            ->createQuery(
                'SELECT s.id FROM '.
                    Student::class.
                    ' s WHERE s.class = ?1 AND s.removedAt IS NULL AND s.seatable = true AND s.guest = false
                        ORDER BY s.position, s.id',
            )
            ->setParameter(1, $class)
            ->getSingleColumnResult();

        return array_values(array_filter($ids, \is_string(...)));
    }

    /**
     * @param list<string> $students
     *
     * @return array<string, array<array-key, int|float|string>>
     */
    private function attributes(array $students): array
    {
        $attributes = [];
        foreach ($this->em->getRepository(Student::class)->findBy(['id' => $students]) as $student) {
            $attributes[$student->id] = $student->attributes;
        }

        return $attributes;
    }
}
