<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Staff;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\SchoolClass;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpKernel\Event\ControllerEvent;

/**
 * Finds what is in a teacher's classes, and asks whether they may do there what they are about to. What is in nobody's
 * of theirs is not found, as if it were not there.
 */
final readonly class Staff
{
    private const ATTRIBUTE = '_for_assistants';

    public function __construct(private EntityManagerInterface $em, private RequestStack $requests)
    {
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $type
     * @param QueryBuilder    $query of the thing under an alias, joined to its class as `c`
     *
     * @return T
     *
     * @throws RosterRefused if it is in no class of theirs, or if they only assist there and this is not for assistants
     */
    public function find(string $type, QueryBuilder $query, string $alias, Teacher $teacher, string $id): object
    {
        $found = $query
            ->leftJoin(ClassStaff::class, 'm', 'WITH', 'm.class = c AND m.teacher = :teacher')
            ->andWhere($alias.'.id = :id')
            ->andWhere('c.teacher = :teacher OR m.teacher = :teacher')
            ->andWhere('c.removedAt IS NULL')
            ->setParameter('id', $id)
            ->setParameter('teacher', $teacher)
            ->getQuery()
            ->getResult();
        $found = \is_array($found)
            ? array_values(
                array_filter($found, static fn (mixed $candidate): bool => $candidate instanceof $type),
            )[0] ?? null
            : null;
        if (!$found instanceof $type) {
            throw RosterRefused::missing();
        }

        return $found;
    }

    /**
     * @throws RosterRefused if they only assist in the class and this is not for assistants
     */
    public function may(Teacher $teacher, SchoolClass $class): void
    {
        if (
            $class->teacher !== $teacher
            && StaffRole::Assistant === $this->role($teacher, $class)
            && true !== $this->requests->getCurrentRequest()?->attributes->get(self::ATTRIBUTE)
        ) {
            throw RosterRefused::notAllowed('roster.assistant');
        }
    }

    public function role(Teacher $teacher, SchoolClass $class): ?StaffRole
    {
        return $class->teacher === $teacher
            ? StaffRole::Owner
            : $this->em->find(ClassStaff::class, ['class' => $class, 'teacher' => $teacher])?->role;
    }

    /**
     * @return list<ClassStaff> beside the owner, by name
     */
    public function forClass(SchoolClass $class): array
    {
        /** @var list<ClassStaff> $staff */
        $staff = $this->em
            ->createQueryBuilder()
            ->select('m', 't')
            ->from(ClassStaff::class, 'm')
            ->join('m.teacher', 't')
            ->where('m.class = :class')
            ->setParameter('class', $class)
            ->orderBy('t.name')
            ->getQuery()
            ->getResult();

        return $staff;
    }

    /**
     * @return array<string, string> names of the owner and everybody who teaches or assists, by id
     */
    public function names(SchoolClass $class): array
    {
        $names = [$class->teacher->id => $class->teacher->name];
        foreach ($this->forClass($class) as $member) {
            $names[$member->teacher->id] = $member->teacher->name;
        }

        return $names;
    }

    /**
     * Notes whether the action about to be run is for assistants too.
     */
    #[AsEventListener]
    public function onAction(ControllerEvent $event): void
    {
        $request = $event->getRequest();
        $request->attributes->set(
            self::ATTRIBUTE,
            $request->isMethodSafe() || [] !== ($event->getAttributes()[ForAssistants::class] ?? []),
        );
    }
}
