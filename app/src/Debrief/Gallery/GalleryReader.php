<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Debrief\Debrief;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Debrief\HoldUp\ShownReader;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Materials\HandOut\AloneReader;
use FreshHuddle\App\Materials\HandOut\AloneWork;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\Core\Grouping\Group;

/**
 * What hangs in the gallery of a class. While none is open there is nothing, and it is not said that there was.
 */
final readonly class GalleryReader
{
    public function __construct(
        private EntityManagerInterface $em,
        private Clock $clock,
        private RunReader $runs,
        private ShownReader $shown,
        private AloneReader $alone,
    ) {
    }

    public function ofLesson(string $lessonId): ?Gallery
    {
        $gallery = $this->em
            ->getRepository(Gallery::class)
            ->findOneBy(['lesson' => $lessonId, 'closedAt' => null], ['openedAt' => 'DESC']);

        return true === $gallery?->isOpen($this->clock->ms()) ? $gallery : null;
    }

    /**
     * @return Gallery|null the one that is open to a class, of whatever lesson
     */
    public function ofClass(string $classId): ?Gallery
    {
        /** @var list<Gallery> $galleries */
        $galleries = $this->em
            ->createQueryBuilder()
            ->select('g', 'l')
            ->from(Gallery::class, 'g')
            ->join('g.lesson', 'l')
            ->where('l.class = :class AND g.closedAt IS NULL')
            ->orderBy('g.openedAt', 'DESC')
            ->setParameter('class', $classId)
            ->getQuery()
            ->getResult();
        foreach ($galleries as $gallery) {
            if ($gallery->isOpen($this->clock->ms())) {
                return $gallery;
            }
        }

        return null;
    }

    /**
     * @throws DebriefRefused if none is open to this student
     */
    public function view(StudentUser $student): GalleryView
    {
        $gallery = $this->ofClass($student->classId) ?? throw DebriefRefused::missing();
        $groups = $this->runs->floor($gallery->round->id)->groups;
        $order = array_flip(array_map(static fn (Group $group): string => $group->id, $groups));
        $copies = $this->copies($gallery);
        usort(
            $copies,
            static fn (WorkCopy $one, WorkCopy $other): int => [
                $order[$one->group->id ?? ''] ?? \PHP_INT_MAX,
                self::ownerName($one),
                $one->title,
            ] <=> [$order[$other->group->id ?? ''] ?? \PHP_INT_MAX, self::ownerName($other), $other->title],
        );
        $copies = array_map(
            static fn (WorkCopy $copy): GalleryCopy => new GalleryCopy(
                $copy->id,
                $copy->title,
                self::ownerName($copy),
                $copy->group?->mark,
                self::isOf($copy, $student->id, $groups),
            ),
            $copies,
        );

        return new GalleryView($gallery->remarks, $gallery->until, $copies);
    }

    /**
     * @throws DebriefRefused if none is open to this student, or that copy does not hang there
     */
    public function piece(StudentUser $student, string $copyId): GalleryPiece
    {
        [$gallery, $copy] = $this->hung($student, $copyId);
        $names = $this->em->find(Debrief::class, $gallery->lesson->id)->showsNames ?? false;
        $remarks = $this->remarks($gallery, $copy);
        $mine = array_values(
            array_filter($remarks, static fn (GalleryRemark $one): bool => $one->student->id === $student->id),
        );

        return new GalleryPiece(
            $this->shown->whole($copy, $names),
            $mine[0]->text ?? '',
            self::isOf($copy, $student->id, $this->runs->floor($gallery->round->id)->groups)
                ? array_map(RemarkView::fromRemark(...), $remarks)
                : [],
        );
    }

    /**
     * @return array{Gallery, WorkCopy}
     *
     * @throws DebriefRefused if none is open to this student, or that copy does not hang there
     */
    public function hung(StudentUser $student, string $copyId): array
    {
        $gallery = $this->ofClass($student->classId) ?? throw DebriefRefused::missing();
        foreach ($this->copies($gallery) as $copy) {
            if ($copy->id === $copyId) {
                return [$gallery, $copy];
            }
        }

        throw DebriefRefused::missing();
    }

    /**
     * @return list<GalleryRemark> the latest first
     */
    public function remarks(Gallery $gallery, ?WorkCopy $copy = null): array
    {
        return $this->em
            ->getRepository(GalleryRemark::class)
            ->findBy(['gallery' => $gallery] + (null === $copy ? [] : ['copy' => $copy]), ['at' => 'DESC']);
    }

    /**
     * @return list<WorkCopy> all of the round but what everybody does for themselves alone
     */
    private function copies(Gallery $gallery): array
    {
        $alone = array_map(
            static fn (AloneWork $work): string => $work->original,
            $this->alone->forLesson($gallery->lesson),
        );

        return array_values(
            array_filter(
                $this->em->getRepository(WorkCopy::class)->findBy(['round' => $gallery->round]),
                static fn (WorkCopy $copy): bool => !\in_array($copy->original->id, $alone, true)
                    && (null !== $copy->group || null !== $copy->student),
            ),
        );
    }

    private static function ownerName(WorkCopy $copy): string
    {
        return $copy->group->name ?? $copy->student->name ?? '';
    }

    /**
     * @param list<Group> $groups as they were sent out
     */
    private static function isOf(WorkCopy $copy, string $studentId, array $groups): bool
    {
        if (null !== $copy->student) {
            return $copy->student->id === $studentId;
        }
        foreach ($groups as $group) {
            if ($group->id === $copy->group?->id) {
                return \in_array($studentId, $group->students, true);
            }
        }

        return false;
    }
}
