<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Correction;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\Core\Record\Correction\Figure;

/**
 * The body of a request: corrects a figure of a student, or takes the computed one again.
 */
final readonly class CorrectFigure
{
    /**
     * @param int|null $value null: what was computed counts again
     */
    public function __construct(
        #[Id]
        public string $student,
        public Figure $figure,
        public ?int $value,
    ) {
    }
}
