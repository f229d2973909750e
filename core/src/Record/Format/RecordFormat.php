<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Format;

use FreshHuddle\Core\Record\Contribution;
use FreshHuddle\Core\Record\Correction\Corrections;
use FreshHuddle\Core\Record\Facts;
use FreshHuddle\Core\Record\GroupFigures;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\Points\PointsRule;
use FreshHuddle\Core\Record\Points\StudentPoints;
use FreshHuddle\Core\Record\StudentFigures;

/**
 * A record as JSON, for other programs: docs/formats/record.md and record.schema.json.
 */
final readonly class RecordFormat
{
    public const NAME = 'fresh-huddle/record';
    public const VERSION = 1;

    /**
     * @return array{format: string, version: int, title: string, class: string, begunAt: int, endedAt: int,
     *   facts: array<string, list<object>>, figures: array{students: list<array<array-key, mixed>>,
     *   groups: list<array<array-key, mixed>>, points: list<StudentPoints>}, corrections: list<object>,
     *   pointsRule: list<object>}
     */
    public static function write(
        LessonRecord $record,
        string $title,
        string $class,
        Corrections $corrections,
        PointsRule $rule,
    ): array {
        $facts = $record->facts;

        return [
            'format' => self::NAME,
            'version' => self::VERSION,
            'title' => $title,
            'class' => $class,
            'begunAt' => $facts->begunAt,
            'endedAt' => $facts->endedAt,
            'facts' => self::facts($facts),
            'figures' => [
                'students' => array_map(self::student(...), $record->students),
                'groups' => array_map(self::group(...), $record->groups),
                'points' => [] === $rule->parts ? [] : array_map(
                    static fn (StudentFigures $one): StudentPoints => $rule->points($one, $corrections),
                    $record->students,
                ),
            ],
            'corrections' => $corrections->all,
            'pointsRule' => $rule->parts,
        ];
    }

    /**
     * @return array<string, list<object>>
     */
    public static function facts(Facts $facts): array
    {
        return [
            'segments' => $facts->segments,
            'runs' => $facts->runs,
            'students' => $facts->students,
            'signs' => $facts->signs,
            'calls' => $facts->calls,
            'visits' => $facts->visits,
            'calledOn' => $facts->calledOn,
            'writing' => $facts->writing,
            'progress' => $facts->progress,
            'exits' => $facts->exits,
            'speech' => $facts->speech,
        ];
    }

    /**
     * @return array<array-key, mixed>
     */
    private static function student(StudentFigures $figures): array
    {
        return array_diff_key(get_object_vars($figures), ['name' => true]);
    }

    /**
     * @return array<array-key, mixed>
     */
    private static function group(GroupFigures $figures): array
    {
        $put = array_map(static fn (Contribution $one): array => get_object_vars($one), $figures->put);

        return ['put' => $put] + array_diff_key(get_object_vars($figures), ['name' => true, 'mark' => true]);
    }
}
