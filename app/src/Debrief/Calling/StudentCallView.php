<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Calling;

/**
 * A student who was called on, for the teacher.
 */
final readonly class StudentCallView
{
    /**
     * @param int  $number  from 1, in the order in which they were called on
     * @param int  $at      milliseconds since 1970
     * @param bool $current they are asked now
     */
    public function __construct(
        public string $id,
        public int $number,
        public string $student,
        public string $name,
        public CallState $state,
        public int $at,
        public bool $current,
    ) {
    }

    public static function fromCall(StudentCall $call): self
    {
        return new self(
            $call->id,
            $call->number,
            $call->student->id,
            $call->student->name,
            $call->state,
            $call->at,
            $call->current,
        );
    }
}
