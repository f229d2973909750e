<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Deleted;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Staff\ClassStaff;
use FreshHuddle\App\Roster\Staff\StaffRole;
use Psr\Clock\ClockInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What a teacher has deleted lately and may bring back: classes of their own, and lessons of classes that are there.
 */
final readonly class DeletedController
{
    /** So long it can be found. */
    private const KEPT = '-30 days';

    public function __construct(private EntityManagerInterface $em, private ClockInterface $clock)
    {
    }

    /**
     * Lists what was deleted lately and can be brought back.
     *
     * @return list<DeletedView> what was deleted last first
     */
    #[Route('/api/staff/deleted', methods: ['GET'])]
    public function list(#[CurrentUser] Teacher $teacher): array
    {
        $since = $this->clock->now()->modify(self::KEPT);
        /** @var list<SchoolClass> $classes */
        $classes = $this->em
            ->createQueryBuilder()
            ->select('c')
            ->from(SchoolClass::class, 'c')
            ->where('c.teacher = :teacher AND c.removedAt > :since AND c.isPractice = false')
            ->setParameter('teacher', $teacher)
            ->setParameter('since', $since, 'datetimetz_immutable')
            ->getQuery()
            ->getResult();
        /** @var list<Lesson> $lessons */
        $lessons = $this->em
            ->createQueryBuilder()
            ->select('l', 'c')
            ->from(Lesson::class, 'l')
            ->join('l.class', 'c')
            ->leftJoin(
                ClassStaff::class,
                'm',
                'WITH',
                'm.class = c AND m.teacher = :teacher AND m.role <> :assistant',
            )
            ->where('l.removedAt > :since AND c.removedAt IS NULL AND (c.teacher = :teacher OR m.teacher = :teacher)')
            ->andWhere('c.isPractice = false')
            ->setParameter('teacher', $teacher)
            ->setParameter('assistant', StaffRole::Assistant)
            ->setParameter('since', $since, 'datetimetz_immutable')
            ->getQuery()
            ->getResult();
        $all = [
            ...array_map(
                static fn (SchoolClass $class): DeletedView => new DeletedView(
                    DeletedKind::SchoolClass,
                    $class->id,
                    $class->name,
                    $class->name,
                    self::ms($class->removedAt),
                ),
                $classes,
            ),
            ...array_map(
                static fn (Lesson $lesson): DeletedView => new DeletedView(
                    DeletedKind::Lesson,
                    $lesson->id,
                    $lesson->title,
                    $lesson->class->name,
                    self::ms($lesson->removedAt),
                ),
                array_values(array_filter($lessons, static fn (mixed $lesson): bool => $lesson instanceof Lesson)),
            ),
        ];
        usort($all, static fn (DeletedView $a, DeletedView $b): int => [$b->at, $b->id] <=> [$a->at, $a->id]);

        return $all;
    }

    private static function ms(?\DateTimeImmutable $at): int
    {
        return (int) $at?->format('Uv');
    }
}
