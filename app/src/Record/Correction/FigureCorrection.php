<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Correction;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Record\Correction\Correction;
use FreshHuddle\Core\Record\Correction\Figure;

/**
 * A figure of a record as somebody of the staff has corrected it. Written by FigureCorrections.
 */
#[ORM\Entity]
class FigureCorrection
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,
        #[ORM\Id, ORM\Column(length: 20, enumType: Figure::class)]
        public readonly Figure $figure,
        #[ORM\Column]
        public int $value,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public Teacher $teacher,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public int $at,
    ) {
    }

    public function correction(): Correction
    {
        return new Correction($this->student->id, $this->figure, $this->value, $this->teacher->id, $this->at);
    }
}
