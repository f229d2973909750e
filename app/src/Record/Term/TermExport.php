<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * A term for other programs.
 */
final readonly class TermExport
{
    public function __construct(private Words $words)
    {
    }

    /**
     * A line for each student: counts, and then how often they have worked with each of the others.
     */
    public function csv(TermView $term): string
    {
        $say = fn (string $code): string => $this->words->say(new Message('record.term.'.$code));
        $times = $term->times();
        $rows = [
            [
                ...array_map($say, ['name', 'there', 'missing', 'called_on', 'visited']),
                ...$term->roles,
                ...array_map(
                    fn (TermStudentView $one): string => $this->words->say(
                        new Message('record.term.with', ['name' => $one->name]),
                    ),
                    $term->students,
                ),
            ],
        ];
        foreach ($term->students as $i => $student) {
            $rows[] = [
                $student->name,
                ...$student->counts($term->roles),
                ...array_map(
                    static fn (int $j): int|string => $i === $j ? '' : $times[$i][$j] ?? 0,
                    array_keys($term->students),
                ),
            ];
        }

        return SafeCsv::write($rows);
    }
}
