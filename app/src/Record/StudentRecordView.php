<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\Core\Record\StudentFigures;

/**
 * What a lesson's record says of a student (docs/formats/record.md).
 */
final readonly class StudentRecordView
{
    /**
     * @param list<list<int>> $strip where they were (StripCode::spans)
     * @param list<int>       $wrote in which parts of the lesson they wrote (StripCode::parts)
     */
    public function __construct(
        public string $student,
        public string $name,
        public ?string $group,
        public ?int $arrivedAt,
        public int $groupMs,
        public int $inPlaceMs,
        public int $elsewhereMs,
        public int $awayMs,
        public int $put,
        public int $ofGroup,
        public int $slots,
        public int $calls,
        public int $calledOn,
        public int $passed,
        public int $exitAnswered,
        public int $exitOf,
        public int $spokenMs,
        public array $strip,
        public array $wrote,
    ) {
    }

    /**
     * @param list<list<int>> $strip
     * @param list<int>       $wrote
     */
    public static function fromFigures(StudentFigures $one, array $strip, array $wrote): self
    {
        return new self(
            $one->student,
            $one->name,
            $one->group,
            $one->arrivedAt,
            $one->groupMs,
            $one->inPlaceMs,
            $one->elsewhereMs,
            $one->awayMs,
            $one->put,
            $one->ofGroup,
            $one->slots,
            $one->calls,
            $one->calledOn,
            $one->passed,
            $one->exitAnswered,
            $one->exitOf,
            $one->spokenMs,
            $strip,
            $wrote,
        );
    }
}
