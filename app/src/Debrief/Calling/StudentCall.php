<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Calling;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Student;

/**
 * A student has been called on in a lesson. Written by Calls.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'student_call_number', columns: ['lesson_id', 'number'])]
class StudentCall
{
    #[ORM\Column(length: 10, enumType: CallState::class)]
    public CallState $state = CallState::Asked;

    /** They are asked now: on the screen of the teacher, and where everybody is to see it on all others. */
    #[ORM\Column]
    public bool $current = true;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        /** From 1, in the order in which they were called on. */
        #[ORM\Column]
        public readonly int $number,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
    ) {
    }
}
