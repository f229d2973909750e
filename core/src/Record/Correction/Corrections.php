<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Correction;

use FreshHuddle\Core\Record\StudentFigures;

/**
 * What counts of a student's figures: the corrected one where there is one, or else the computed one.
 */
final readonly class Corrections
{
    /** @var array<string, array<string, Correction>> by student and figure */
    private array $byStudent;

    /**
     * @param list<Correction> $all one for each student and figure
     */
    public function __construct(public array $all)
    {
        $byStudent = [];
        foreach ($all as $correction) {
            $byStudent[$correction->student][$correction->figure->value] = $correction;
        }
        $this->byStudent = $byStudent;
    }

    public function of(string $student, Figure $figure): ?Correction
    {
        return $this->byStudent[$student][$figure->value] ?? null;
    }

    public function value(StudentFigures $figures, Figure $figure): int
    {
        return $this->of($figures->student, $figure)->value ?? $figure->computed($figures);
    }
}
