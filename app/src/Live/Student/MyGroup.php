<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

use FreshHuddle\App\Live\Signal\MySignal;

/**
 * A student's own group, as that student may see it.
 */
final readonly class MyGroup
{
    /**
     * @param int            $number  from 1
     * @param int            $mark    which colour and sign
     * @param list<Mate>     $members seat 1 first, the student included
     * @param list<CopyLink> $copies  what the student has to work on, in order
     * @param int            $seat    the student's own number, from 1
     * @param string         $role    '' for none
     * @param MySignal       $signal  what has passed between it and the teacher
     * @param string         $task    what this number does; '' where all do the same
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $number,
        public int $mark,
        public array $members,
        public MyRoom $room,
        public array $copies,
        public int $seat,
        public string $role,
        public string $task,
        public MySignal $signal,
    ) {
    }
}
