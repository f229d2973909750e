<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Desk\Groupings;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Lesson\Exception\LessonRefused;

/**
 * The grouping a new lesson begins with.
 */
final readonly class FirstGrouping
{
    public function __construct(
        private EntityManagerInterface $em,
        private Groupings $groupings,
        private GroupingUsage $usage,
    ) {
    }

    /**
     * What was grouped last is what the lesson is for, so none is left over.
     *
     * @throws LessonRefused if it is none of the class
     */
    public function choose(Lesson $lesson, ?string $id): Grouping
    {
        $groupings = $this->em->getRepository(Grouping::class);
        if (null !== $id) {
            return $groupings->findOneBy(['id' => $id, 'class' => $lesson->class, 'removedAt' => null]) ??
                throw LessonRefused::unusable('lesson.grouping_of_another_class', 'grouping');
        }
        $latest = $lesson->template
            ? null
            : $groupings->findOneBy(['class' => $lesson->class, 'removedAt' => null], ['id' => 'DESC']);

        return null !== $latest && null === $this->usage->lessonOf($latest->id)
            ? $latest
            : $this->groupings->create($lesson->class, mb_substr($lesson->title, 0, 80));
    }
}
