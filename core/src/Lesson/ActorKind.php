<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * What kind of somebody does things in a lesson.
 */
enum ActorKind: string
{
    case Teacher = 'teacher';
    case Student = 'student';
    /** Nobody: it happened at its time, or was seen. */
    case Clock = 'clock';
}
