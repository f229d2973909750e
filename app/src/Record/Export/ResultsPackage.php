<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Export;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\Export\OneRosterFiles;
use FreshHuddle\App\Roster\Export\OneRosterPackage;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Record\Correction\Corrections;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\Points\PointsRule;

/**
 * The points of a lesson as results of a OneRoster 1.2 gradebook, with the class they belong to.
 */
final readonly class ResultsPackage
{
    /** The month in which a school year begins. */
    private const YEAR_BEGINS = 8;

    public function __construct(private OneRosterPackage $roster, private ClassReader $classes, private Words $words)
    {
    }

    /**
     * @return string the bytes of a zip file
     *
     * @throws RecordRefused if no rule says how points come about
     */
    public function zip(Lesson $lesson, LessonRecord $record, Corrections $corrections, PointsRule $rule): string
    {
        if ([] === $rule->parts) {
            throw RecordRefused::unusable('record.points.none');
        }
        $class = $lesson->class;
        $day = new \DateTimeImmutable('@'.intdiv($record->facts->begunAt, 1_000));
        $year = (int) $day->format('Y') - ((int) $day->format('n') < self::YEAR_BEGINS ? 1 : 0);
        $term = "year-{$year}";
        $line = 'lesson-'.$lesson->id;
        $rows = $this->roster->rows($class);
        $rows['academicSessions'] = [
            [
                'sourcedId' => $term,
                'title' => $this->say('school_year', ['from' => (string) $year, 'to' => (string) ($year + 1)]),
                'type' => 'gradingPeriod',
                'startDate' => \sprintf('%d-%02d-01', $year, self::YEAR_BEGINS),
                'endDate' => \sprintf('%d-%02d-31', $year + 1, self::YEAR_BEGINS - 1),
                'schoolYear' => (string) ($year + 1),
            ],
        ];
        $rows['categories'] = [['sourcedId' => 'participation', 'title' => $this->say('category')]];
        $rows['lineItems'] = [
            [
                'sourcedId' => $line,
                'title' => $this->say('line', ['title' => $lesson->title]),
                'assignDate' => $day->format('Y-m-d'),
                'dueDate' => $day->format('Y-m-d'),
                'classSourcedId' => $class->id,
                'categorySourcedId' => 'participation',
                'gradingPeriodSourcedId' => $term,
                'resultValueMin' => '0.0',
                'resultValueMax' => "{$rule->most()}.0",
                'schoolSourcedId' => $rows['orgs'][0]['sourcedId'] ?? '',
            ],
        ];
        $schoolIds = [];
        foreach ($this->classes->students($class->id) as $student) {
            $schoolIds[$student->id] = $student->schoolId ?? $student->id;
        }
        $rows['results'] = [];
        foreach ($record->students as $one) {
            if (!isset($schoolIds[$one->student])) {
                continue;
            }
            $wasThere = null !== $one->arrivedAt;
            $rows['results'][] = [
                'sourcedId' => "{$line}-{$one->student}",
                'lineItemSourcedId' => $line,
                'studentSourcedId' => $schoolIds[$one->student],
                'scoreStatus' => $wasThere ? 'fully graded' : 'not submitted',
                'score' => $wasThere ? $rule->points($one, $corrections)->sum.'.0' : '',
                'scoreDate' => $day->format('Y-m-d'),
                'classSourcedId' => $class->id,
                'missing' => $wasThere ? 'false' : 'true',
            ];
        }

        return OneRosterFiles::zip($rows);
    }

    /**
     * @param array<string, string> $values
     */
    private function say(string $code, array $values = []): string
    {
        return $this->words->say(new Message('record.export.'.$code, $values));
    }
}
