<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Format;

use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Record\Correction\Correction;
use FreshHuddle\Core\Record\Correction\Figure;
use FreshHuddle\Core\Record\Exception\UnreadableRecord;
use FreshHuddle\Core\Record\Exception\UnusablePoints;
use FreshHuddle\Core\Record\Fact\CalledOnFact;
use FreshHuddle\Core\Record\Fact\CallFact;
use FreshHuddle\Core\Record\Fact\ExitFact;
use FreshHuddle\Core\Record\Fact\GroupFact;
use FreshHuddle\Core\Record\Fact\ProgressFact;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\SeatFact;
use FreshHuddle\Core\Record\Fact\SegmentFact;
use FreshHuddle\Core\Record\Fact\SignFact;
use FreshHuddle\Core\Record\Fact\SpeechFact;
use FreshHuddle\Core\Record\Fact\StudentFact;
use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\Fact\WritingFact;
use FreshHuddle\Core\Record\Facts;
use FreshHuddle\Core\Record\Points\PointsKind;
use FreshHuddle\Core\Record\Points\PointsPart;
use FreshHuddle\Core\Record\Points\PointsRule;

/**
 * A record as its file has it (docs/formats/record.md), read again. Figures are not read: they follow from the facts.
 */
final readonly class RecordFile
{
    private const MOST = 200_000;
    private const MOST_STUDENTS = 2_000;
    /** A lesson lasts a week at most. Milliseconds. */
    private const LONGEST = 604_800_000;

    /**
     * @param list<Correction> $corrections
     */
    private function __construct(
        public string $title,
        public Facts $facts,
        public array $corrections,
        public PointsRule $rule,
    ) {
    }

    /**
     * @param mixed $data decoded JSON
     *
     * @throws UnreadableRecord with the place at fault
     *
     * Complexity: O(facts)
     */
    public static function read(mixed $data): self
    {
        $file = RecordPart::whole($data);
        if (!$file->is('format', RecordFormat::NAME) || !$file->is('version', RecordFormat::VERSION)) {
            throw $file->wrong('format');
        }
        $begun = $file->int('begunAt');
        $ended = $file->int('endedAt', $begun, $begun + self::LONGEST);
        try {
            $rule = new PointsRule(
                $file->list(
                    'pointsRule',
                    static fn (RecordPart $part): PointsPart => new PointsPart(
                        $part->case('kind', PointsKind::class),
                        $part->int('atLeast'),
                        $part->int('points'),
                    ),
                    PointsRule::MOST_PARTS,
                ),
            );
        } catch (UnusablePoints) {
            throw $file->wrong('pointsRule');
        }

        return new self(
            $file->text('title'),
            self::facts($file->part('facts'), $begun, $ended),
            $file->list('corrections', self::correction(...), self::MOST_STUDENTS * \count(Figure::cases())),
            $rule,
        );
    }

    private static function correction(RecordPart $part): Correction
    {
        $figure = $part->case('figure', Figure::class);

        return new Correction(
            $part->text('student'),
            $figure,
            $part->int('value', 0, $figure->most()),
            $part->text('by'),
            $part->int('at'),
        );
    }

    private static function facts(RecordPart $facts, int $begun, int $ended): Facts
    {
        return new Facts(
            $begun,
            $ended,
            $facts->list('segments', self::segment(...), 1_000),
            $facts->list('runs', self::run(...), 1_000),
            $facts->list('students', self::student(...), self::MOST_STUDENTS),
            $facts->list('signs', self::sign(...), self::MOST),
            $facts->list('calls', self::call(...), self::MOST),
            $facts->list('visits', self::visit(...), self::MOST),
            $facts->list('calledOn', self::calledOn(...), self::MOST),
            $facts->list('writing', self::writing(...), self::MOST),
            $facts->list('progress', self::progress(...), self::MOST),
            $facts->list('exits', self::exit(...), self::MOST_STUDENTS * 100),
            // Files of before have none.
            $facts->has('speech') ? $facts->list('speech', self::speech(...), self::MOST) : [],
        );
    }

    private static function segment(RecordPart $one): SegmentFact
    {
        return new SegmentFact($one->case('kind', SegmentKind::class), ...self::stretch($one, 'from', 'to'));
    }

    private static function student(RecordPart $one): StudentFact
    {
        return new StudentFact($one->text('id'), $one->text('name'));
    }

    private static function sign(RecordPart $one): SignFact
    {
        return new SignFact(
            $one->text('student'),
            $one->int('at'),
            $one->case('place', Place::class),
            $one->textOrNull('where'),
        );
    }

    private static function call(RecordPart $one): CallFact
    {
        return new CallFact($one->text('group'), $one->text('student'), ...self::stretch($one, 'at', 'until'));
    }

    private static function visit(RecordPart $one): VisitFact
    {
        return new VisitFact($one->text('group'), $one->text('teacher'), ...self::stretch($one, 'from', 'to'));
    }

    private static function calledOn(RecordPart $one): CalledOnFact
    {
        return new CalledOnFact($one->text('student'), $one->int('at'), $one->bool('passed'));
    }

    private static function speech(RecordPart $one): SpeechFact
    {
        return new SpeechFact($one->text('student'), $one->text('place'), $one->int('ms', 0, self::LONGEST));
    }

    private static function writing(RecordPart $one): WritingFact
    {
        return new WritingFact(
            $one->text('student'),
            $one->textOrNull('group'),
            $one->text('slot'),
            $one->int('at'),
            $one->int('put', 0, 1_000_000),
        );
    }

    private static function progress(RecordPart $one): ProgressFact
    {
        return new ProgressFact(
            $one->text('group'),
            $one->int('at'),
            $one->int('filled', 0, 100_000),
            $one->int('of', 0, 100_000),
        );
    }

    private static function exit(RecordPart $one): ExitFact
    {
        return new ExitFact($one->text('student'), $one->int('answered', 0, 10_000), $one->int('of', 0, 10_000));
    }

    private static function run(RecordPart $run): RunFact
    {
        [$from, $to] = self::stretch($run, 'from', 'to');

        return new RunFact(
            $run->text('id'),
            $run->int('round', 1, 1_000),
            $from,
            $to,
            $run->list(
                'groups',
                static fn (RecordPart $one): GroupFact => new GroupFact(
                    $one->text('id'),
                    $one->text('name'),
                    $one->int('mark', 0, 100_000),
                ),
                1_000,
            ),
            $run->list(
                'seats',
                static fn (RecordPart $one): SeatFact => new SeatFact(
                    $one->text('student'),
                    $one->text('group'),
                    ...self::stretch($one, 'from', 'to'),
                ),
                self::MOST,
            ),
        );
    }

    /**
     * @return array{int, int} where it begins and ends
     */
    private static function stretch(RecordPart $part, string $from, string $to): array
    {
        $begin = $part->int($from);

        return [$begin, $part->int($to, $begin)];
    }
}
