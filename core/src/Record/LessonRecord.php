<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

/**
 * What came of a lesson.
 */
final readonly class LessonRecord
{
    /**
     * @param list<StudentFigures> $students in the order of the facts
     * @param list<GroupFigures>   $groups   by run, in the order of the floor
     */
    public function __construct(public Facts $facts, public array $students, public array $groups)
    {
    }
}
